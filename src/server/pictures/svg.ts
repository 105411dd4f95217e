import { SaxesParser } from 'saxes';
import { fetchesOutside, isInside } from './css-fetches';

const ACTIVE_ELEMENTS = new Set([
  'script',
  'foreignobject',
  'iframe',
  'embed',
  'object',
  'audio',
  'video',
  'handler',
]);
/** What changes an attribute over time. Source: SVG 2, “Animation”. */
const ANIMATING = new Set(['set', 'animate', 'animatemotion', 'animatetransform', 'animatecolor']);
const XHTML = 'http://www.w3.org/1999/xhtml';
const localName = (name: string) => name.slice(name.indexOf(':') + 1).toLowerCase();

/** Where somebody who clicks on a link is led: to a part of the file, or to another page. Browsers pass over line breaks in it. */
const isPlainLink = (value: string) => /^\s*(#|https?:|mailto:)/i.test(value);

const outside = (value: string) => `a reference to something outside the file (${value.slice(0, 60)})`;

/** Attributes that lead somewhere. @param local without its prefix */
function referenceProblem(element: string, local: string, value: string): string | null {
  if (local === 'base') return 'the attribute xml:base, which moves all its references';
  if (local !== 'href' && local !== 'src') return null;
  if (element !== 'a') return isInside(value) ? null : outside(value);
  return isPlainLink(value) ? null : `a link that is no address of a page (${value.slice(0, 60)})`;
}

function attributeProblem(element: string, name: string, value: string): string | null {
  const local = localName(name);
  if (local.startsWith('on')) return `the attribute ${name}, which runs a script`;
  if (name.startsWith('xmlns') && value.trim() === XHTML) return 'elements of a web page';
  if (ANIMATING.has(element) && local === 'attributename' && /^(href|on)/i.test(localName(value.trim())))
    return `the element ${element}, which changes where something leads`;
  return (
    referenceProblem(element, local, value) ??
    (/[(\\]/.test(value) && fetchesOutside(value) ? outside(value) : null)
  );
}

/**
 * Looks through an SVG for whatever could run or fetch something.
 * @returns what was found, in words that complete “it holds …”, or `null` when the file is a drawing and nothing else
 */
export function svgProblem(text: string): string | null {
  const parser = new SaxesParser();
  let problem: string | null = null;
  const find = (found: string | null) => (problem ??= found);
  // All of one style together: what is split by comments or sections is one text to a browser.
  let style: string | null = null;
  parser.on('error', () => {
    find(`something that is not well-formed XML, in line ${parser.line} at character ${parser.column}`);
  });
  parser.on('doctype', (doctype) => {
    if (/<!ENTITY/i.test(doctype)) find('a document type with entities of its own');
  });
  parser.on('processinginstruction', ({ target }) => {
    if (target !== 'xml') find(`the processing instruction ${target}`);
  });
  parser.on('opentag', ({ name, attributes }) => {
    const element = localName(name);
    if (style !== null) find(`the element ${name} within a style`);
    if (element === 'style') style = '';
    if (ACTIVE_ELEMENTS.has(element)) find(`the element ${name}`);
    for (const [key, value] of Object.entries(attributes))
      find(attributeProblem(element, key, String(value)));
  });
  parser.on('closetag', ({ name }) => {
    if (localName(name) !== 'style' || style === null) return;
    if (fetchesOutside(style)) find('a style that fetches something from outside the file');
    style = null;
  });
  const add = (css: string) => {
    if (style !== null) style += css;
  };
  parser.on('text', add);
  parser.on('cdata', add);
  parser.write(text).close();
  return problem;
}
