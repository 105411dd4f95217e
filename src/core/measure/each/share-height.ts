import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const shareHeight = layerMeasure({
  id: 'share-height',
  word: 'height',
  noun: 'share of the screen’s height',
  unit: UNITS.share,
  rule: {
    id: 'too-small-or-large',
    word: 'too high or too low',
    under: { id: 'too-small', word: 'too low' },
    over: { id: 'too-large', word: 'too high' },
  },
  limits: [
    {
      roles: ['logo'],
      max: 0.6,
      outcome: 'warn',
      reason: 'A logo over more than three fifths of the height leaves no air around it.',
    },
  ],
  hinges: [],
  inSlots: () => false,
  read: () => (m) => m.share.height,
  why: 'share-height',
  placed: true,
  mends: ['smaller', 'larger'],
});
