import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const overlap = layerMeasure({
  id: 'overlap',
  word: 'overlap',
  noun: 'overlap',
  unit: UNITS.area,
  rule: { id: 'overlap', word: 'lies across another layer' },
  limits: [
    {
      roles: ['logo', 'text'],
      max: 0,
      outcome: 'warn',
      reason: 'Two things that are drawn across each other can both not be made out.',
    },
  ],
  hinges: [],
  read: () => (m) => m.overlap,
  why: 'overlap',
  mends: ['below', 'toTheTop', 'toTheBottom', 'smaller', 'mendWhatItLeansOn'],
});
