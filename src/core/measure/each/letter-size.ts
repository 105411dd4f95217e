import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const letterSize = layerMeasure({
  id: 'letter-size',
  word: 'letters of',
  noun: 'size of letters',
  unit: UNITS.length,
  lessIsWorse: true,
  rule: { id: 'too-small', word: 'set too small to be read' },
  limits: [
    {
      roles: ['text', 'other'],
      min: 9,
      outcome: 'warn',
      reason: 'Letters under 9 lu are hard to read at the length of an arm.',
      since: 3,
    },
  ],
  hinges: [],
  inSlots: () => false,
  read: () => (m) => m.letterSize,
  why: 'font-size',
  mends: ['readableType'],
});
