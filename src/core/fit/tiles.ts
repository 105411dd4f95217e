import { area, clamp, intersect, span, type Axis, type Rect, type Span, fromSpans } from '../geometry/rect';
import type { Placement } from './place';

/** More copies than this are not listed along one axis: a picture of next to no size would never end. */
const MOST_COPIES = 4096;

export const isRepeated = (p: Placement) => p.tiles.x !== null || p.tiles.y !== null;

const length = (s: Span) => s.end - s.start;
const overlap = (a: Span, b: Span) => Math.max(0, Math.min(a.end, b.end) - Math.max(a.start, b.start));

/** Starts of all copies along one axis that touch the box, absolute, lu, ascending. A single copy gives one start. */
export function tileStarts(p: Placement, axis: Axis): number[] {
  const tiling = p.tiles[axis];
  const drawn = span(p.drawn, axis);
  if (!tiling) return [drawn.start];
  const box = span(p.box, axis);
  const before = Math.ceil((drawn.end - box.start) / tiling.pitch) - 1;
  const first = drawn.start - before * tiling.pitch;
  const count = Math.ceil((box.end - first) / tiling.pitch - 1e-9);
  return Array.from({ length: clamp(count, 0, MOST_COPIES) }, (_, i) => first + i * tiling.pitch);
}

/** Everything drawn, from the first copy to the last: the box along a repeated axis, the drawing along the other. */
export function paintedRect(p: Placement): Rect {
  if (!isRepeated(p)) return p.drawn;
  const along = (axis: Axis) => span(p.tiles[axis] ? p.box : p.drawn, axis);
  return fromSpans(along('x'), along('y'));
}

/** Length along one axis that the copies cover between the ends of a window, lu. */
function coveredLength(p: Placement, axis: Axis, window: Span): number {
  const box = span(p.box, axis);
  const seen = p.clipped
    ? { start: Math.max(window.start, box.start), end: Math.max(window.start, Math.min(window.end, box.end)) }
    : window;
  const drawn = span(p.drawn, axis);
  const tiling = p.tiles[axis];
  if (!tiling) return overlap(drawn, seen);
  if (tiling.gap === 0) return overlap(box, seen);
  const copy = length(drawn);
  return tileStarts(p, axis).reduce((sum, start) => sum + overlap({ start, end: start + copy }, seen), 0);
}

/** Area of a window that the picture covers, lu². Copies lie on a grid, so the two axes multiply. */
export function coveredArea(p: Placement, window: Rect): number {
  if (isRepeated(p))
    return coveredLength(p, 'x', span(window, 'x')) * coveredLength(p, 'y', span(window, 'y'));
  const seen = p.clipped ? intersect(window, p.box) : window;
  const covered = seen && intersect(seen, p.drawn);
  return covered ? area(covered) : 0;
}
