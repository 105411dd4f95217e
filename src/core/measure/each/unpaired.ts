import { wholeMeasure } from '../descriptor';
import { UNITS } from '../units';

export const unpaired = wholeMeasure({
  id: 'unpaired',
  of: 'scene',
  word: 'without a dark half',
  noun: 'number of missing dark halves',
  unit: UNITS.count,
  rule: { id: 'missing-dark', word: 'lacks a dark half' },
  limits: [
    {
      roles: ['scene'],
      max: 0,
      outcome: 'warn',
      reason: 'In the dark a picture and its ground belong together: both have a dark half, or neither.',
    },
  ],
  hinges: [],
  why: 'In the dark the background shows its light file on a dark ground, or a dark file on a light one.',
  mends: ['pairGround'],
});
