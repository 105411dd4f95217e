import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const shareArea = layerMeasure({
  id: 'share-area',
  word: 'area',
  noun: 'share of the screen’s area',
  unit: UNITS.share,
  rule: {
    id: 'too-small-or-large',
    word: 'too large or too small',
    under: { id: 'too-small', word: 'too small' },
    over: { id: 'too-large', word: 'too large' },
  },
  limits: [],
  hinges: [],
  inSlots: () => false,
  read: () => (m) => m.share.area,
  why: 'share-width',
  placed: true,
  mends: ['smaller', 'larger'],
});
