import { sayAt, type Section, type Sheet } from './schema';

/** Whatever would mean something in Markdown, and what would end a cell. Source: CommonMark 0.31, backslash escapes. */
const escaped = (text: string): string =>
  text.replaceAll(/[\\`*_{}[\]<>#|~]/g, String.raw`\$&`).replaceAll('\n', ' ');

const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |\n`;

function rows({ rows: list }: Section, columns: Sheet['columns']): string {
  if (list.length === 0) return '';
  const heads = columns.map((c) => `${c.label} ${c.screen}`);
  return [
    line(['', 'as ruled', ...heads]),
    line(['---', '---', ...heads.map(() => '---:')]),
    ...list.map((r) => line([r.what, escaped(r.ruled), ...r.at.map((at) => escaped(sayAt(at)))])),
    '\n',
  ].join('');
}

/** Longer than any row of backticks in the text, so that none ends the block. */
function fenced(code: string, language: string): string {
  const longest = Math.max(2, ...[...code.matchAll(/`+/g)].map((m) => m[0].length));
  const fence = '`'.repeat(longest + 1);
  return `${fence}${language}\n${code}${fence}\n\n`;
}

/** One section of a sheet as Markdown. */
export function sectionMarkdown(section: Section, columns: Sheet['columns']): string {
  const { name, about, sentence, facts, css, notSaid } = section;
  return [
    `## ${escaped(name)}\n\n${escaped(about)}\n\n`,
    sentence ? `${escaped(sentence)}\n\n` : '',
    rows(section, columns),
    facts.map((f) => `- ${f.what}: ${escaped(f.text)}\n`).join(''),
    facts.length > 0 ? '\n' : '',
    css ? fenced(css, 'css') : '',
    notSaid ? `CSS cannot say this layer without a script: ${escaped(notSaid)}.\n\n` : '',
  ].join('');
}

/** A build sheet as Markdown. Source: CommonMark 0.31, with tables as they are widely read. */
export function sheetMarkdown(sheet: Sheet): string {
  const { project, revision, scene, target, columns, sections } = sheet;
  const head = `# ${escaped(scene.name)}\n\n${escaped(project.name)}, revision ${revision}. For ${escaped(target.name)}, ${target.screens} screens. Lengths are in logical units (lu) and px of the device.\n\n`;
  return `${(head + sections.map((s) => sectionMarkdown(s, columns)).join('')).trimEnd()}\n`;
}
