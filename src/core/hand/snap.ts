import { span, type Axis, type Rect } from '../geometry/rect';
import { AXES, type By } from './looked';

/** Something that a layer catches at: its edges and its middle, and its thirds where it is a region of the screen. */
export interface Mark {
  rect: Rect;
  thirds?: boolean;
}

/** A line that a layer has caught at, absolute, lu: of `x` it is upright. */
export interface SnapLine {
  axis: Axis;
  at: number;
}

export interface Snapped {
  /** how far the layer goes then, lu */
  by: By;
  lines: SnapLine[];
}

const SHARES = [0, 0.5, 1];
const THIRDS = [0, 1 / 3, 0.5, 2 / 3, 1];

/** Where along an axis a rectangle has its edges and its middle, and its thirds where they are asked for. */
const linesOf = (rect: Rect, axis: Axis, thirds = false): number[] => {
  const { start, end } = span(rect, axis);
  return (thirds ? THIRDS : SHARES).map((share) => start + (end - start) * share);
};

/** Along one axis: the shortest way from a layer's edges and middle to a line within reach; `null` where there is none. */
function nearest(own: readonly number[], lines: readonly number[], within: number) {
  let best: { way: number; at: number } | null = null;
  for (const from of own)
    for (const at of lines) {
      const way = at - from;
      if (Math.abs(way) <= within && (!best || Math.abs(way) < Math.abs(best.way))) best = { way, at };
    }
  return best;
}

/**
 * Has a layer that is moved catch at what lies around it: along each axis at the nearest line within reach.
 *
 * @param box of the layer before it is moved, absolute, lu
 * @param marks what it catches at @param within how near that has to be, lu
 */
export function snapTo(box: Rect, by: By, marks: readonly Mark[], within: number): Snapped {
  const next = { ...by };
  const lines: SnapLine[] = [];
  for (const axis of AXES) {
    const own = linesOf(box, axis).map((at) => at + by[axis]);
    const found = nearest(
      own,
      marks.flatMap(({ rect, thirds }) => linesOf(rect, axis, thirds)),
      within,
    );
    if (!found) continue;
    next[axis] += found.way;
    lines.push({ axis, at: found.at });
  }
  return { by: next, lines };
}
