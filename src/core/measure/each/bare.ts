import { layerMeasure } from '../descriptor';
import { loss } from '../read';
import { UNITS } from '../units';

export const bare = layerMeasure({
  id: 'bare',
  word: 'bare',
  noun: 'bare part of its box',
  unit: UNITS.share,
  sided: true,
  rule: { id: 'bare-box', word: 'does not fill its box' },
  limits: [],
  hinges: [],
  read: (side) => loss((m) => m.bare, side),
  why: 'bare',
  mends: ['otherFits', 'toTheScreen'],
});
