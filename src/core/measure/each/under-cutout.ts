import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const underCutout = layerMeasure({
  id: 'under-cutout',
  word: 'under a cutout',
  noun: 'area under a cutout',
  unit: UNITS.area,
  rule: { id: 'unsafe', word: 'under a cutout' },
  limits: [
    { roles: ['logo', 'text'], max: 0, outcome: 'fail', reason: 'What lies under a cutout is not seen.' },
  ],
  hinges: ['cutouts'],
  read: () => (m) => m.intrusion && m.intrusion.cutout,
  why: 'under-cutout',
  placed: true,
  mends: ['intoTheSafeArea', 'besideTheHinge', 'smaller'],
});
