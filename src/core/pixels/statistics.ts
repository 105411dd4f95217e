import { z } from 'zod';
import type { Side } from '../geometry/rect';
import { detailOf, suggest } from './detail';
import { inkOf, type Ink } from './ink';
import { hexOf, type Raster } from './raster';
import { meanOf, sumsOf } from './sums';

/** A preview by which a file is looked at has at most so many pixels. */
export const MOST_LOOKED_AT = 2_000_000;

const share = z.number().min(0).max(1);
const hex = z.string().regex(/^#[0-9a-f]{6}$/);

/** What the pixels of a file say, as it is handed from the server to the page. */
export const Statistics = z.object({
  ink: z
    .object({
      bounds: z.object({ x: share, y: share, width: share, height: share }),
      centroid: z.object({ x: share, y: share }),
      by: z.enum(['alpha', 'border']),
      colour: hex,
      border: hex.nullable(),
    })
    .nullable(),
  /** where a subject may lie, judged by detail alone; `null` for a picture that is all alike */
  suggestion: z
    .object({
      keepArea: z.object({ x: share, y: share, width: share, height: share }),
      focalPoint: z.object({ x: share, y: share }),
    })
    .nullable(),
  /** mean colour of what is not see-through; `null` where all of it is */
  average: hex.nullable(),
  /** mean colour of a strip along each side */
  edges: z.object({
    left: hex.nullable(),
    right: hex.nullable(),
    top: hex.nullable(),
    bottom: hex.nullable(),
  }),
});
export type Statistics = z.infer<typeof Statistics>;

/** A strip along a side is this share of the picture, and at least a pixel. */
const STRIP = 0.02;

export function statisticsOf(raster: Raster): Statistics {
  const { width, height } = raster;
  const sums = sumsOf(raster);
  const across = Math.max(1, width * STRIP);
  const down = Math.max(1, height * STRIP);
  const colour = (x: number, y: number, w: number, h: number) => {
    const mean = meanOf(sums, { x, y, width: w, height: h });
    return mean && mean.a > 0 ? hexOf(mean) : null;
  };
  const edges: Record<Side, string | null> = {
    left: colour(0, 0, across, height),
    right: colour(width - across, 0, across, height),
    top: colour(0, 0, width, down),
    bottom: colour(0, height - down, width, down),
  };
  const ink: Ink | null = inkOf(raster);
  const detail = detailOf(raster);
  return { ink, suggestion: detail && suggest(detail), average: colour(0, 0, width, height), edges };
}
