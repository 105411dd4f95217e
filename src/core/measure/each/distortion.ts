import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const distortion = layerMeasure({
  id: 'distortion',
  word: 'distorted',
  noun: 'distortion',
  unit: UNITS.share,
  rule: { id: 'distorted', word: 'distorted' },
  limits: [
    {
      roles: ['background'],
      max: 0.02,
      outcome: 'warn',
      reason: 'Two per cent is about where a changed shape begins to be noticed.',
    },
    { roles: ['background'], max: 0.1, outcome: 'fail', reason: 'Circles and faces look squashed.' },
    {
      roles: ['logo'],
      max: 0.005,
      outcome: 'fail',
      reason: 'A logo keeps its shape; half a per cent is rounding.',
    },
  ],
  hinges: [],
  read: () => (m) => m.distortion,
  why: 'distortion',
  mends: ['otherFits', 'otherCut'],
});
