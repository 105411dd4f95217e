import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const acrossFold = layerMeasure({
  id: 'across-fold',
  word: 'across the fold',
  noun: 'length across the fold',
  unit: UNITS.length,
  rule: { id: 'across-fold', word: 'lies across a fold' },
  limits: [],
  hinges: [],
  read: () => (m) => m.intrusion && m.intrusion.fold,
  why: 'across-fold',
  placed: true,
  mends: ['smaller'],
});
