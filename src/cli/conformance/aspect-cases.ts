import { z } from 'zod';
import { fromSize } from '@/core/geometry/rect';
import { resolveBoxes } from '@/core/placing/resolve';
import type { AxisRule, Bound, Extent, Placing, Ratio } from '@/core/placing/rule';
import { percent } from '@/core/values/values';
import { cssLength } from './css';
import { missFields, type Verdict } from './report';

const Size = z.object({ width: z.number(), height: z.number() });
const Css = z.object({
  width: z.string().optional(),
  height: z.string().optional(),
  minWidth: z.string().optional(),
  maxWidth: z.string().optional(),
  minHeight: z.string().optional(),
  maxHeight: z.string().optional(),
  aspectRatio: z.string().optional(),
});
type Css = z.infer<typeof Css>;
const AspectCase = z.object({
  id: z.string(),
  rule: z.object({ kind: z.literal('aspect-box'), element: z.enum(['div', 'img']), css: Css }),
  natural: Size.nullable(),
  box: Size,
  expected: z.object({ box: z.record(z.string(), z.number()) }),
  tolerance: z.number(),
});

/** “4/3”, “1.91”, “auto 16/9”; `auto` gives way to the natural shape of a picture. */
function ratioValue(text: string): number {
  const [width = '1', height = '1'] = text.replace('auto', '').trim().split('/');
  return Number(width) / Number(height);
}

const bound = (text: string | undefined): Bound | undefined =>
  text ? { length: cssLength(text) } : undefined;

/** A box in the flow, from the start of its containing block, as rules: CSS Sizing 4 §5 (aspect-ratio). */
function placingOf({ element, css }: z.infer<typeof AspectCase>['rule']): Placing {
  const isPicture = element === 'img';
  const ownShape = isPicture && (!css.aspectRatio || css.aspectRatio.includes('auto'));
  const value: Ratio['value'] = ownShape ? 'own' : ratioValue(css.aspectRatio ?? '1');
  const bothAuto = !css.width && !css.height;
  const size = (length: string | undefined, other: string | undefined): Extent => {
    if (length) return { kind: 'length', length: cssLength(length) };
    if (other) return { kind: 'from-ratio' };
    return { kind: 'natural' };
  };
  const rule = (extent: Extent, min: string | undefined, max: string | undefined): AxisRule => ({
    kind: 'start',
    edge: { region: 'screen', offset: { value: 0, unit: 'lu' } },
    extent: { ...extent, min: bound(min), max: bound(max) },
  });
  // A box without a picture is as wide as its containing block, and the bounds of its height reach its width.
  const fills = bothAuto && !isPicture;
  const width: Extent = fills ? { kind: 'length', length: percent(100) } : size(css.width, css.height);
  const height: Extent = fills ? { kind: 'from-ratio' } : size(css.height, css.width);
  return {
    x: rule(width, css.minWidth, css.maxWidth),
    y: rule(height, css.minHeight, css.maxHeight),
    ratio: { value, strict: fills },
  };
}

/** Holds a box with `aspect-ratio`, or an image without a size, against what a browser engine laid out. */
export function checkAspectCase(json: unknown): Verdict {
  const c = AspectCase.parse(json);
  const screen = fromSize(c.box);
  const regions = { screen, safe: screen, content: screen, margins: screen };
  const layer = { id: 'box', natural: c.natural ?? undefined, placing: placingOf(c.rule) };
  const box = resolveBoxes([layer], { regions, density: 1 }).get('box') ?? null;
  return missFields('box', box, c.expected.box, c.tolerance);
}
