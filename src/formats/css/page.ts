import { sayDensity } from '@/core/words/numbers';
import { escapeHtml, POLICY } from '../text/html';
import { imageHtml } from './sources';
import { blockCss, type Block, Rules } from './rules';
import { sceneSheet, type LayerSheet, type NotSaid, type ToWrite } from './scene';

/** A font that a page declares. */
export interface FontFace {
  family: string;
  weight: number;
  /** an address, such as one that holds the file itself */
  src: string;
  /** which letters are in it; all when absent */
  unicodeRange?: string;
}

export interface PageParts extends ToWrite {
  faces: readonly FontFace[];
  title: string;
}

/** What every page begins with. A window that nobody has painted is white, or black in the dark. */
const FRAME = `html, body { margin: 0; height: 100%; }
.screen { position: fixed; inset: 0; overflow: hidden; container: screen / size; background: #fff; }
.scene, .group { display: grid; text-rendering: geometricPrecision; }
.scene { position: absolute; inset: 0; }
.scene * { box-sizing: border-box; margin: 0; padding: 0; }
/* Holds layers together without moving them: it is as wide as the screen, and of no height. */
.group { grid-area: 1 / 1; height: 0; min-width: 0; }
/* One below another in a panel that is as large as they are. */
.stack { display: grid; grid-template-columns: minmax(0, 1fr); align-content: start; grid-area: 1 / 1; }
.stack > .stack { grid-area: 2 / 1; }
.scene img { max-width: none; }
picture { display: contents; }
source { display: none; }
@media (prefers-color-scheme: dark) { .screen { background: #000; } }
`;

const faceCss = ({ family, weight, src, unicodeRange }: FontFace) =>
  `@font-face { font-family: ${family}; font-weight: ${weight}; src: url("${src}");${unicodeRange ? ` unicode-range: ${unicodeRange};` : ''} }\n`;

/** Layers of a page as elements. */
class Elements {
  private readonly anchored: ReadonlyMap<string, ReadonlySet<string>>;
  /** what orders layers that have to be laid out in another order than they are drawn in */
  readonly order = new Rules();

  constructor(
    private readonly sheets: readonly LayerSheet[],
    private readonly address: (hash: string) => string,
  ) {
    this.anchored = new Map(sheets.map((s) => [s.name, anchorsOf(s.blocks)]));
  }

  /** Names of the layers that others are measured from by anchors. */
  anchors = (): ReadonlySet<string> => new Set([...this.anchored.values()].flatMap((names) => [...names]));

  private heldBy = (parent: string | undefined) =>
    this.sheets.filter(({ layer }) => (layer.kind === 'ground' ? undefined : layer.parent) === parent);

  private family = (sheet: LayerSheet): LayerSheet[] => [
    sheet,
    ...this.heldBy(sheet.layer.id).flatMap((s) => this.family(s)),
  ];

  /** In an order in which every anchor comes before whatever is measured from it. */
  private inOrder(siblings: readonly LayerSheet[]): LayerSheet[] {
    const needs = (s: LayerSheet) => new Set(this.family(s).flatMap((f) => [...this.anchored.get(f.name)!]));
    const left = [...siblings];
    const done: LayerSheet[] = [];
    while (left.length > 0) {
      const names = (s: LayerSheet) => this.family(s).map((f) => f.name);
      const free = left.findIndex((s) => !left.some((o) => o !== s && names(o).some((n) => needs(s).has(n))));
      done.push(...left.splice(Math.max(0, free), 1));
    }
    return done;
  }

  html(parent: string | undefined, indent: string): string {
    const drawn = this.heldBy(parent);
    const ordered = this.inOrder(drawn);
    if (ordered.some((s, i) => s !== drawn[i]))
      drawn.forEach((s, i) => this.order.add(`.${this.outermost(s)}`, { 'z-index': String(i) }));
    return ordered.map((s) => this.element(s, indent)).join('');
  }

  private isGroup = ({ layer, flows }: LayerSheet) => !flows && this.heldBy(layer.id).length > 0;

  private outermost(sheet: LayerSheet): string {
    if (this.isGroup(sheet)) return `${sheet.name}-group`;
    return sheet.way === 'point' ? `${sheet.name}-at` : sheet.name;
  }

  private element(sheet: LayerSheet, indent: string): string {
    const { layer, name, way } = sheet;
    const own = this.own(sheet);
    const placed = way === 'point' ? `<div class="${name}-at">${own}</div>` : own;
    if (!this.isGroup(sheet)) return `${indent}${placed}\n`;
    const held = this.html(layer.id, `${indent}  `);
    return `${indent}<div class="group ${name}-group">\n${indent}  ${placed}\n${held}${indent}</div>\n`;
  }

  /** What stands in a panel after one of its layers, or at its top, each with what stands after it. */
  private stacks = (panel: string, after: string | null): string =>
    this.heldBy(panel)
      .filter((s) => s.after === after)
      .map((s) => `<div class="stack">${this.own(s)}${this.stacks(panel, s.layer.id)}</div>`)
      .join('');

  private own(sheet: LayerSheet): string {
    const { layer, name, form, files } = sheet;
    const text = `class="${name}"`;
    if (layer.kind === 'text')
      return `<div ${text}><span>${escapeHtml(layer.text).replaceAll('\n', '<br>')}</span></div>`;
    if (layer.kind !== 'picture')
      return `<div ${text}>${sheet.flows ? this.stacks(layer.id, null) : ''}</div>`;
    if (form === 'block')
      return `<div ${text} role="img" aria-label="${escapeHtml(layer.name)}"><div></div></div>`;
    return imageHtml(files!, `${text} alt="${escapeHtml(layer.name)}"`, this.address);
  }
}

/** The names of the layers that rules are measured from by anchors. */
function anchorsOf(blocks: readonly Block[]): Set<string> {
  const css = blocks.map(blockCss).join('');
  return new Set([...css.matchAll(/anchor(?:-size)?\(--([a-z0-9-]+) /g)].map((m) => m[1]!));
}

/** What cannot be said, or not wholly, for whoever opens the page. */
const noteHtml = (title: string, list: readonly NotSaid[]) =>
  list.length === 0
    ? ''
    : `<!--\n${title}:\n${list
        .map((n) => `- ${n.layer.name}: ${n.rule}`.replaceAll('--', '—'))
        .join('\n')}\n-->\n`;

/** Layers of which some screens take another file than the page does. */
const loosely = (layers: readonly LayerSheet[]): NotSaid[] =>
  layers.flatMap(({ layer: { id, name }, files }) => {
    const all = files ? [...files.portrait.doubtful, ...files.landscape.doubtful] : [];
    const at = [...new Set(all)].toSorted((a, b) => a - b).map((d) => `${sayDensity(d)}×`);
    if (at.length === 0) return [];
    const rule = `at ${at.join(', ')} some systems take another file of it, and no media query tells them apart: the one of most screens is taken`;
    return [{ layer: { id, name }, rule }];
  });

/** A scene as an HTML page that needs nothing else, and what it could not say. */
export function scenePage(parts: PageParts): { html: string; notSaid: NotSaid[] } {
  const { layers, common, notSaid } = sceneSheet(parts);
  const elements = new Elements(layers, parts.address);
  const body = elements.html(undefined, '    ');
  const anchors = new Rules();
  for (const name of elements.anchors()) anchors.add(`.${name}`, { 'anchor-name': `--${name}` });
  const own = layers.flatMap(({ layer, blocks }) => [
    `/* ${layer.name.replaceAll('*/', '')} */\n`,
    ...blocks.map(blockCss),
  ]);
  const rest = [...own, anchors.css(), elements.order.css()].join('');
  const css = [parts.faces.map(faceCss).join(''), FRAME, usedOf(common, rest), rest].join('');
  const html = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
<meta name="color-scheme" content="light dark">
${POLICY}
<title>${escapeHtml(parts.title)}</title>
<style>
${css.replaceAll('</', '<\\/')}</style>
</head>
<body>
<main class="screen">
  <div class="scene">
${body}  </div>
</main>
${noteHtml('Not on this page, because CSS cannot say it without a script', notSaid)}${noteHtml('Not wholly on this page', loosely(layers))}</body>
</html>
`;
  return { html, notSaid };
}

/** Of what all layers could stand on, what these do. */
export function usedOf(common: readonly Block[], css: string): string {
  const used = new Set<string>();
  const follow = (text: string) => {
    for (const [, name] of text.matchAll(/var\((--[a-z0-9-]+)/g)) {
      if (used.has(name!)) continue;
      used.add(name!);
      for (const block of common) follow(block.rules.valueOf('.scene', name!) ?? '');
    }
  };
  follow(css);
  // What holds on the same condition is said at once.
  const byWhere = new Map<string, Block>();
  for (const { where, rules } of common) {
    const key = where.join(' ');
    const only = rules.only('.scene', used);
    byWhere.set(key, { where, rules: byWhere.get(key)?.rules.with(only) ?? only });
  }
  return [...byWhere.values()].map(blockCss).join('');
}
