import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const underBar = layerMeasure({
  id: 'under-bar',
  word: 'under a bar',
  noun: 'area under a bar',
  unit: UNITS.area,
  rule: { id: 'unsafe', word: 'under a bar' },
  limits: [],
  hinges: ['bars'],
  read: () => (m) => m.intrusion && m.intrusion.bar,
  why: 'under-bar',
  placed: true,
  mends: ['intoTheSafeArea', 'smaller'],
});
