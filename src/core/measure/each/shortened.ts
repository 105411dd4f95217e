import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const shortened = layerMeasure({
  id: 'shortened',
  word: 'letters left out',
  noun: 'number of letters that are left out',
  unit: UNITS.count,
  rule: { id: 'shortened', word: 'ends in an ellipsis' },
  limits: [
    {
      roles: ['text', 'other'],
      max: 0,
      outcome: 'warn',
      reason: 'It ends in an ellipsis: the rest of what it says is not there.',
      since: 3,
    },
  ],
  hinges: [],
  read: () => (m) => m.shortened,
  why: 'font-size',
  mends: ['moreLines', 'smallerType', 'larger'],
});
