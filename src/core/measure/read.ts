import type { PerSide, Side } from '../geometry/rect';
import type { WithTotal } from './crop';
import type { Measures } from './measures';
import type { OffCentre } from './off-centre';
import type { MeasureSide } from './side';

/** Reads a figure of a layer on a case; `null` where the measure does not apply. */
export type Figure = (m: Measures) => number | null;

const smallest = (sides: PerSide) => Math.min(sides.left, sides.right, sides.top, sides.bottom);

/** Reading a side by a name that is not known beforehand takes several times as long. */
const SIDE_OF: Record<Side, (sides: PerSide) => number> = {
  left: (s) => s.left,
  right: (s) => s.right,
  top: (s) => s.top,
  bottom: (s) => s.bottom,
};

/** Losses: the total unless a side is named. */
export function loss(lost: (m: Measures) => WithTotal | null, side: MeasureSide = 'total'): Figure {
  const read = side === 'total' ? (sides: WithTotal) => sides.total : SIDE_OF[side];
  return (m) => {
    const sides = lost(m);
    return sides && read(sides);
  };
}

/** Distances: the smallest side unless one is named. */
export function distance(far: (m: Measures) => PerSide | undefined, side: MeasureSide = 'total'): Figure {
  const read = side === 'total' ? smallest : SIDE_OF[side];
  return (m) => {
    const sides = far(m);
    return sides ? read(sides) : null;
  };
}

/** Off a centre: the axis that is off by more. */
export const furthest =
  (from: (o: OffCentre) => number): Figure =>
  ({ offCentre: { x, y } }) =>
    x || y ? Math.max(x ? Math.abs(from(x)) : 0, y ? Math.abs(from(y)) : 0) : null;
