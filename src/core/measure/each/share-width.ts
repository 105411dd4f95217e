import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const shareWidth = layerMeasure({
  id: 'share-width',
  word: 'width',
  noun: 'share of the screen’s width',
  unit: UNITS.share,
  rule: {
    id: 'too-small-or-large',
    word: 'too wide or too narrow',
    under: { id: 'too-small', word: 'too narrow' },
    over: { id: 'too-large', word: 'too wide' },
  },
  limits: [
    {
      roles: ['logo'],
      min: 0.12,
      outcome: 'warn',
      reason: 'Under an eighth of the width a logo is too small to read.',
    },
    {
      roles: ['logo'],
      max: 0.75,
      outcome: 'warn',
      reason: 'A logo over more than three quarters of the width leaves no air around it.',
    },
  ],
  hinges: [],
  inSlots: () => false,
  read: () => (m) => m.share.width,
  why: 'share-width',
  placed: true,
  mends: ['smaller', 'larger'],
});
