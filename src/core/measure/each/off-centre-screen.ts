import { layerMeasure } from '../descriptor';
import { furthest } from '../read';
import { UNITS } from '../units';

export const offCentreScreen = layerMeasure({
  id: 'off-centre-screen',
  word: 'off the screen’s centre',
  noun: 'distance from the screen’s centre',
  unit: UNITS.length,
  rule: { id: 'off-centre', word: 'off the screen’s centre' },
  limits: [],
  hinges: [],
  inSlots: () => false,
  read: () => furthest((o) => o.screen),
  why: 'off-centre',
  placed: true,
  mends: ['centreByInk', 'toTheScreen'],
});
