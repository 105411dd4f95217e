import { SaxesParser } from 'saxes';

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
const EXTERNAL_URL = /url\(\s*['"]?\s*(?!#|['"]?\s*data:image\/)/i;
const localName = (name: string) => name.slice(name.indexOf(':') + 1).toLowerCase();

/** A reference stays inside the file when it names a part of it or carries the picture itself. */
const isInside = (reference: string) => /^\s*(#|data:image\/(png|jpeg|webp|gif)[;,])/i.test(reference);

function attributeProblem(element: string, name: string, value: string): string | null {
  const local = localName(name);
  if (local.startsWith('on')) return `the attribute ${name}, which runs a script`;
  if (['href', 'src'].includes(local) && element !== 'a' && !isInside(value)) {
    return `a reference to something outside the file (${value.slice(0, 60)})`;
  }
  return EXTERNAL_URL.test(value)
    ? `a reference to something outside the file (${value.slice(0, 60)})`
    : null;
}

/**
 * Looks through an SVG for whatever could run or fetch something.
 * @returns what was found, in words that complete “it holds …”, or `null` when the file is a drawing and nothing else
 */
export function svgProblem(text: string): string | null {
  const parser = new SaxesParser();
  let problem: string | null = null;
  const find = (found: string | null) => (problem ??= found);
  let inStyle = false;
  const style = (css: string) => {
    if (/@import/i.test(css) || EXTERNAL_URL.test(css))
      find('a style that fetches something from outside the file');
  };
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
    inStyle = element === 'style';
    if (ACTIVE_ELEMENTS.has(element)) find(`the element ${name}`);
    for (const [key, value] of Object.entries(attributes))
      find(attributeProblem(element, key, String(value)));
  });
  parser.on('closetag', () => {
    inStyle = false;
  });
  parser.on('text', (css) => {
    if (inStyle) style(css);
  });
  parser.on('cdata', (css) => {
    if (inStyle) style(css);
  });
  parser.write(text).close();
  return problem;
}
