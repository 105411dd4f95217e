import { bottom, right, type Rect } from '@/core/geometry/rect';
import type { Template } from '@/core/solve/template';
import { sayNumber } from '@/core/words/numbers';
import { PALETTE } from '@/render/palette';
import { escapeHtml } from './text/html';

/** Colours of the template by itself, whatever the look of the page; on light and on dark pictures. */
const COLOURS = {
  canvas: '#e9e4d8',
  some: '#b9cfd4',
  every: '#7fb5a2',
  safe: PALETTE.light.river,
  cutouts: PALETTE.light.fail,
  ink: PALETTE.light.ink,
};

/** The layers of a template, each a group by itself. */
export const TEMPLATE_GROUPS = [
  'canvas',
  'seen-by-some',
  'seen-by-every',
  'safe-on-every',
  'cutouts',
] as const;
export type TemplateGroup = (typeof TEMPLATE_GROUPS)[number];

export const TEMPLATE_WORDS: Record<TemplateGroup, string> = {
  canvas: 'canvas',
  'seen-by-some': 'seen by some screen',
  'seen-by-every': 'seen by every screen',
  'safe-on-every': 'in the safe area of every screen',
  cutouts: 'under a cutout of some screen',
};

const round = (v: number) => Math.round(v * 100) / 100;

/** Shares of the canvas as a rectangle in px. */
const rectIn = ({ x, y, width, height }: Rect, { width: w, height: h }: Template['canvas'], d: number) =>
  `x="${round(x * w * d)}" y="${round(y * h * d)}" width="${round(width * w * d)}" height="${round(height * h * d)}"`;

/** The rectangle around several; `null` around none. */
function aroundAll(rects: readonly Rect[]): Rect | null {
  if (rects.length === 0) return null;
  const x = Math.min(...rects.map((r) => r.x));
  const y = Math.min(...rects.map((r) => r.y));
  const end = Math.max(...rects.map((r) => right(r)));
  const foot = Math.max(...rects.map((r) => bottom(r)));
  return { x, y, width: end - x, height: foot - y };
}

/**
 * A template as SVG, one named group for each layer.
 * @param density px per lu of its size
 * @param overlay without the fill of the canvas, to be laid over a picture
 */
export function templateSvg(template: Template, density: number, overlay = false): string {
  const { canvas, seen, safe, views, cutouts } = template;
  const [width, height] = [round(canvas.width * density), round(canvas.height * density)];
  const line = round(Math.max(width, height) / 500);
  const rect = (r: Rect, style: string) => `<rect ${rectIn(r, canvas, density)} ${style}/>`;
  const none = 'fill="none"';
  const stroke = (colour: string, more = '') => `stroke="${colour}" stroke-width="${line}" ${more}`;
  const groups: Record<TemplateGroup, string[]> = {
    canvas: overlay ? [] : [`<rect width="${width}" height="${height}" fill="${COLOURS.canvas}"/>`],
    // Over a picture its edge alone: hundreds of edges would hide it.
    'seen-by-some': overlay
      ? [aroundAll(views)].flatMap((r) => (r ? [rect(r, `${none} ${stroke(COLOURS.some)}`)] : []))
      : views.map((r) => rect(r, `fill="${COLOURS.some}"`)),
    'seen-by-every': seen
      ? [rect(seen, `fill="${COLOURS.every}" fill-opacity="${overlay ? 0.35 : 1}" ${stroke(COLOURS.every)}`)]
      : [],
    'safe-on-every': safe
      ? [rect(safe, `${none} ${stroke(COLOURS.safe, `stroke-dasharray="${line * 4} ${line * 3}"`)}`)]
      : [],
    cutouts: cutouts.map((r) => rect(r, `fill="${COLOURS.cutouts}"`)),
  };
  const told = TEMPLATE_GROUPS.map(
    (id) =>
      `<g id="${id}"${id === 'cutouts' ? ' opacity="0.45"' : ''}><title>${escapeHtml(TEMPLATE_WORDS[id])}</title>${groups[id].join('')}</g>`,
  );
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><title>${escapeHtml(
    `Canvas of ${sayNumber(canvas.width)} × ${sayNumber(canvas.height)} lu`,
  )}</title>${told.join('')}</svg>`;
}
