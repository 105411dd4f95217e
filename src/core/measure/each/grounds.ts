import { wholeMeasure } from '../descriptor';
import { UNITS } from '../units';

export const grounds = wholeMeasure({
  id: 'grounds',
  of: 'scene',
  word: 'grounds',
  noun: 'number of grounds',
  unit: UNITS.count,
  lessIsWorse: true,
  rule: { id: 'wrong-ground', word: 'has no ground, or more than one' },
  limits: [
    {
      roles: ['scene'],
      min: 1,
      max: 1,
      outcome: 'warn',
      reason: 'Without a ground it is left to chance what shows behind; of two only one is seen.',
    },
  ],
  hinges: [],
  inSlots: () => false,
  why: 'A scene has one ground, so that it is not left to chance what shows behind.',
  mends: ['oneGround'],
});
