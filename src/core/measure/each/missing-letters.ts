import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const missingLetters = layerMeasure({
  id: 'missing-letters',
  word: 'letters missing',
  noun: 'number of letters that the font lacks',
  unit: UNITS.count,
  rule: { id: 'missing-letters', word: 'has letters that its font lacks' },
  limits: [
    {
      roles: ['text'],
      max: 0,
      outcome: 'warn',
      reason:
        'Where the font has no letter a box is drawn: on a phone some other font stands in, or a box as well.',
      since: 2,
    },
  ],
  hinges: [],
  read: () => (m) => m.missingLetters,
  why: 'missing-letters',
  mends: ['otherFont', 'withoutLetters'],
});
