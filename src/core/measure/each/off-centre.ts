import { layerMeasure } from '../descriptor';
import { furthest } from '../read';
import { UNITS } from '../units';

export const offCentre = layerMeasure({
  id: 'off-centre',
  word: 'off centre',
  noun: 'distance from its centre',
  unit: UNITS.length,
  rule: { id: 'off-centre', word: 'looks off centre' },
  limits: [
    {
      roles: ['logo'],
      max: 2,
      outcome: 'warn',
      reason: 'From about 2 lu on an eye sees that what is centred by its file is not centred.',
    },
  ],
  hinges: [],
  read: () => furthest((o) => o.own),
  why: 'off-centre',
  placed: true,
  mends: ['centreByInk'],
});
