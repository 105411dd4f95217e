import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const excess = layerMeasure({
  id: 'excess',
  word: 'file larger than drawn',
  noun: 'excess of the file’s pixels',
  unit: UNITS.times,
  rule: { id: 'wasteful', word: 'has far more pixels than are drawn' },
  limits: [
    {
      roles: ['background', 'logo', 'other'],
      max: 16,
      outcome: 'warn',
      reason: 'Sixteen times as long along each side: of 256 pixels that are read into memory, one is shown.',
      since: 4,
    },
  ],
  hinges: [],
  inSlots: () => false,
  read: () => (m) => m.excess,
  why: 'excess',
  mends: ['otherFits'],
});
