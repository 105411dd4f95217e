import { layerMeasure } from '../descriptor';
import { furthest } from '../read';
import { UNITS } from '../units';

export const offCentreSafe = layerMeasure({
  id: 'off-centre-safe',
  word: 'off the safe area’s centre',
  noun: 'distance from the safe area’s centre',
  unit: UNITS.length,
  rule: { id: 'off-centre', word: 'off the safe area’s centre' },
  limits: [],
  hinges: ['insets'],
  read: () => furthest((o) => o.safe),
  why: 'off-centre',
  placed: true,
  mends: ['centreByInk', 'intoTheSafeArea'],
});
