import { layerMeasure } from '../descriptor';
import { distance } from '../read';
import { UNITS } from '../units';

export const clearanceSafe = layerMeasure({
  id: 'clearance-safe',
  word: 'to safe edge',
  noun: 'distance to the safe area’s edge',
  unit: UNITS.length,
  lessIsWorse: true,
  sided: true,
  rule: { id: 'unsafe', word: 'too near the edge of the safe area' },
  limits: [
    {
      roles: ['logo'],
      min: 8,
      outcome: 'warn',
      reason: 'Closer than 8 lu to the edge of the safe area looks like an accident.',
    },
    {
      roles: ['logo'],
      min: 0,
      outcome: 'fail',
      reason: 'The logo lies under a bar, a cutout or a rounded corner.',
    },
    {
      roles: ['text'],
      min: 0,
      outcome: 'fail',
      reason: 'The text lies under a bar, a cutout or a rounded corner, or leaves the screen.',
    },
  ],
  hinges: ['insets', 'cutouts'],
  inSlots: ({ min = 0 }) => min <= 0,
  read: (side) => distance((m) => m.clearance?.safe, side),
  why: 'clearance',
  placed: true,
  mends: ['intoTheSafeArea', 'smaller', 'mendWhatItLeansOn', 'smallerType', 'toTheTop'],
});
