import { z } from 'zod';
import { fromSize } from '@/core/geometry/rect';
import { placePicture, type Placement, type Tiling } from '@/core/fit/place';
import type { Fit } from '@/core/fit/rule';
import { background, objectFit, preserveAspectRatio } from './css';
import { miss, missFields, type Verdict } from './report';

const Size = z.object({ width: z.number(), height: z.number() });
const Rule = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('object-fit'), fit: z.string(), position: z.string() }),
  z.object({
    kind: z.literal('background'),
    size: z.string(),
    position: z.string(),
    repeat: z.string(),
  }),
  z.object({ kind: z.literal('svg-par'), align: z.string(), meetOrSlice: z.string() }),
]);
const Tiles = z.object({
  width: z.number(),
  height: z.number(),
  phaseX: z.number(),
  phaseY: z.number(),
  pitchX: z.number().nullable(),
  pitchY: z.number().nullable(),
  countX: z.number().nullish(),
  countY: z.number().nullish(),
});
type Tiles = z.infer<typeof Tiles>;
const FitCase = z.object({
  id: z.string(),
  rule: Rule,
  natural: Size,
  box: Size,
  dpr: z.number(),
  expected: z.object({
    drawn: z.record(z.string(), z.number()),
    visibleSource: z.record(z.string(), z.number()),
    tiles: Tiles.optional(),
  }),
  tolerance: z.number(),
  toleranceSource: z.number(),
  quirk: z.string().optional(),
});

export const FIT_KINDS = ['object-fit', 'background', 'svg-par'];

function fitOf(rule: z.infer<typeof Rule>): Fit {
  if (rule.kind === 'object-fit') return objectFit(rule.fit, rule.position);
  if (rule.kind === 'background') return background(rule.size, rule.position, rule.repeat);
  return preserveAspectRatio(rule.align, rule.meetOrSlice);
}

/** Distance of two phases on a circle of the length of the pitch. */
function phaseDistance(a: number, b: number, pitch: number): number {
  const d = (((a - b) % pitch) + pitch) % pitch;
  return Math.min(d, pitch - d);
}

function missAxis(
  letter: 'X' | 'Y',
  tiling: Tiling | null,
  start: number,
  tiles: Tiles,
  tolerance: number,
  quirk: boolean,
): string[] {
  const pitch = tiles[`pitch${letter}`];
  const phase = tiles[`phase${letter}`];
  const count = tiles[`count${letter}`];
  const wrongCount =
    count != null && (tiling?.count ?? 1) !== count
      ? [`count${letter} is ${tiling?.count}, expected ${count}`]
      : [];
  if (pitch === null || tiling === null) {
    const same = (pitch === null) === (tiling === null);
    const kind = same ? [] : [`pitch${letter} is ${tiling?.pitch ?? null}, expected ${pitch}`];
    return [...kind, ...wrongCount, ...(quirk ? [] : miss(`phase${letter}`, start, phase, tolerance))];
  }
  const off = quirk ? 0 : phaseDistance(start, phase, pitch);
  return [
    ...miss(`pitch${letter}`, tiling.pitch, pitch, tolerance),
    ...wrongCount,
    ...miss(`phase${letter} modulo its pitch`, off, 0, tolerance),
  ];
}

function missTiles(p: Placement, tiles: Tiles, tolerance: number, quirk: boolean): string[] {
  return [
    ...miss('tile width', p.drawn.width, tiles.width, tolerance),
    ...miss('tile height', p.drawn.height, tiles.height, tolerance),
    ...missAxis('X', p.tiles.x, p.drawn.x, tiles, tolerance, quirk),
    ...missAxis('Y', p.tiles.y, p.drawn.y, tiles, tolerance, quirk),
  ];
}

/** Holds what the core places against what a browser engine drew. */
export function checkFitCase(json: unknown): Verdict {
  const c = FitCase.parse(json);
  const box = fromSize(c.box);
  const p = placePicture({ fit: fitOf(c.rule), natural: c.natural, box, screen: box, density: c.dpr });
  const { tiles } = c.expected;
  const quirk = c.quirk === 'round-position-before-rounding';
  const tiling = tiles ? missTiles(p, tiles, c.tolerance, quirk) : [];
  if (quirk) return tiling;
  return [
    ...missFields('drawn', p.drawn, c.expected.drawn, c.tolerance),
    ...missFields('visibleSource', p.source, c.expected.visibleSource, c.toleranceSource),
    ...tiling,
  ];
}
