import { extent, type Axis } from '../../geometry/rect';
import { sayNumber } from '../../words/numbers';
import { layerMeasure } from '../descriptor';
import type { Measures } from '../measures';
import { UNITS } from '../units';

/** A picture whose middle is further than this from its box’s, lu, was put to one side on purpose. */
const CENTRED = 0.5;

/**
 * How far the centroid of the ink lies from the middle of the box, lu; > 0 is right / down. `null` where there is no ink,
 * where the picture repeats, and along an axis on which it is not in the middle of its box.
 */
function along({ placement: { box, drawn, tiles }, ink }: Measures, axis: Axis): number | null {
  if (!ink || tiles.x || tiles.y) return null;
  const middle = box[axis] + extent(box, axis) / 2;
  if (Math.abs(drawn[axis] + extent(drawn, axis) / 2 - middle) > CENTRED) return null;
  return drawn[axis] + ink.centroid[axis] * extent(drawn, axis) - middle;
}

const SIDES: Record<Axis, readonly [string, string]> = {
  x: ['to the right', 'to the left'],
  y: ['below', 'above'],
};

/** “4.2 lu to the right” */
function say(m: Measures, axis: Axis): string[] {
  const off = along(m, axis);
  return off === null || Math.abs(off) < 0.05
    ? []
    : [`${sayNumber(Math.abs(off))} lu ${SIDES[axis][off > 0 ? 0 : 1]}`];
}

export const centreOfGravity = layerMeasure({
  id: 'centre-of-gravity',
  roles: ['logo'],
  word: 'centre of gravity off by',
  noun: 'distance of its centre of gravity from its box’s middle',
  unit: UNITS.length,
  rule: { id: 'off-balance', word: 'is heavier on one side' },
  limits: [
    {
      roles: ['logo'],
      max: 16,
      outcome: 'warn',
      reason: 'The eye centres a mark by its weight: from about 16 lu on it looks pushed to one side.',
      since: 5,
    },
  ],
  hinges: [],
  read: () => (m) => {
    const [x, y] = [along(m, 'x'), along(m, 'y')];
    return x === null && y === null ? null : Math.max(Math.abs(x ?? 0), Math.abs(y ?? 0));
  },
  first: (m) => [
    `Its ink is heaviest ${[...say(m, 'x'), ...say(m, 'y')].join(' and ')} of its box’s middle.`,
  ],
  why: 'off-centre',
  mends: ['centreByInk'],
});
