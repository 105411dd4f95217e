import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const cutOff = layerMeasure({
  id: 'cut-off',
  word: 'cut off',
  noun: 'part of what is drawn that is cut off',
  unit: UNITS.share,
  rule: { id: 'cut-off', word: 'cut off in part' },
  limits: [
    {
      roles: ['other'],
      max: 0,
      outcome: 'warn',
      reason: 'What is cut out of its ground is drawn to be seen whole.',
      since: 3,
    },
    {
      roles: ['text'],
      max: 0,
      outcome: 'fail',
      reason: 'Letters that are cut off cannot be read.',
      since: 3,
    },
  ],
  hinges: [],
  read: () => (m) => m.cutOff,
  why: 'crop',
  mends: ['intoTheSafeArea', 'smallerType', 'smaller', 'toTheScreen', 'mendWhatItLeansOn'],
});
