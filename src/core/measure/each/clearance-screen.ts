import { layerMeasure } from '../descriptor';
import { distance } from '../read';
import { UNITS } from '../units';

export const clearanceScreen = layerMeasure({
  id: 'clearance-screen',
  word: 'to screen edge',
  noun: 'distance to the screen’s edge',
  unit: UNITS.length,
  lessIsWorse: true,
  sided: true,
  rule: { id: 'tight', word: 'too near the edge of the screen' },
  limits: [],
  hinges: [],
  inSlots: () => false,
  read: (side) => distance((m) => m.clearance?.screen, side),
  why: 'clearance-screen',
  placed: true,
  mends: ['intoTheSafeArea', 'smaller'],
});
