import { escapeHtml, standingPage } from '../text/html';
import { sayAt, type Fact, type Row, type Section, type Sheet } from './schema';

const cell = (tag: 'td' | 'th', text: string, scope = '') => `<${tag}${scope}>${escapeHtml(text)}</${tag}>`;

function table(list: readonly Row[], columns: Sheet['columns']): string {
  if (list.length === 0) return '';
  const heads = ['length', 'as ruled', ...columns.map((c) => `${c.label} ${c.screen}`)];
  const head = heads.map((h) => cell('th', h, ' scope="col"')).join('');
  const body = list.map(
    (r) =>
      `<tr>${cell('th', r.what, ' scope="row"')}${cell('td', r.ruled)}${r.at.map((at) => cell('td', sayAt(at))).join('')}</tr>\n`,
  );
  return `<div class="scrolls" tabindex="0" role="region" aria-label="lengths"><table>\n<thead><tr>${head}</tr></thead>\n<tbody>\n${body.join('')}</tbody>\n</table></div>\n`;
}

const swatch = ({ colour }: Fact) =>
  colour ? `<span class="swatch" style="background:${colour}"></span>` : '';

const facts = (list: readonly Fact[]) =>
  list.length === 0
    ? ''
    : `<dl>\n${list.map((f) => `<dt>${escapeHtml(f.what)}</dt><dd>${swatch(f)}${escapeHtml(f.text)}</dd>\n`).join('')}</dl>\n`;

const sectionHtml = (section: Section, columns: Sheet['columns']): string =>
  [
    `<h2>${escapeHtml(section.name)}</h2>\n<p class="quiet">${escapeHtml(section.about)}</p>\n`,
    section.sentence ? `<p>${escapeHtml(section.sentence)}</p>\n` : '',
    table(section.rows, columns),
    facts(section.facts),
    section.css ? `<pre>${escapeHtml(section.css)}</pre>\n` : '',
    section.notSaid
      ? `<p class="quiet">CSS cannot say this layer without a script: ${escapeHtml(section.notSaid)}.</p>\n`
      : '',
  ].join('');

/** A build sheet as a page that needs nothing else. */
export function sheetHtml(sheet: Sheet): string {
  const { project, revision, scene, target, columns, sections } = sheet;
  const head = `<h1>${escapeHtml(scene.name)}</h1>\n<p class="quiet">${escapeHtml(project.name)}, revision ${revision}. For ${escapeHtml(target.name)}, ${target.screens} screens. Lengths are in logical units (lu) and px of the device.</p>\n`;
  return standingPage(
    `${scene.name}: build sheet`,
    head + sections.map((s) => sectionHtml(s, columns)).join(''),
  );
}
