import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const outsideCorner = layerMeasure({
  id: 'outside-corner',
  word: 'outside a corner',
  noun: 'area outside a corner',
  unit: UNITS.area,
  rule: { id: 'unsafe', word: 'cut by a rounded corner' },
  limits: [
    {
      roles: ['logo', 'text'],
      max: 0,
      outcome: 'fail',
      reason: 'What lies outside a rounded corner is not seen.',
    },
  ],
  hinges: ['cornerRadius'],
  read: () => (m) => m.intrusion && m.intrusion.corner,
  why: 'outside-corner',
  placed: true,
  mends: ['intoTheSafeArea', 'smaller'],
});
