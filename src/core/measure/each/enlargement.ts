import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const enlargement = layerMeasure({
  id: 'enlargement',
  word: 'enlarged',
  noun: 'enlargement',
  unit: UNITS.times,
  rule: { id: 'soft', word: 'has too few pixels' },
  limits: [
    {
      roles: ['background'],
      max: 1.25,
      outcome: 'warn',
      reason: 'Beyond a quarter the loss of detail shows in a photo.',
    },
    {
      roles: ['background'],
      max: 2,
      outcome: 'fail',
      reason: 'Every pixel of the file covers four or more of the screen.',
    },
    { roles: ['logo'], max: 1, outcome: 'warn', reason: 'Sharp edges show every enlargement.' },
    { roles: ['logo'], max: 1.5, outcome: 'fail', reason: 'The edges of the logo are visibly soft.' },
  ],
  hinges: [],
  read: () => (m) => m.enlargement,
  why: 'enlargement',
  mends: ['largerFiles', 'largerPicture', 'otherCut', 'asLargeAsSharp', 'otherFits'],
});
