import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const thinLine = layerMeasure({
  id: 'thin-line',
  roles: ['logo'],
  word: 'thinnest line',
  noun: 'thickness of its thinnest line',
  unit: UNITS.px,
  lessIsWorse: true,
  rule: { id: 'thin-line', word: 'has lines thinner than a px' },
  limits: [
    {
      roles: ['logo'],
      min: 1,
      outcome: 'warn',
      reason: 'In a slot of an icon, a line of less than one device px is drawn as a haze.',
      since: 6,
    },
  ],
  hinges: [],
  read: () => (m) => m.linePx,
  why: 'scale',
  mends: ['larger'],
});
