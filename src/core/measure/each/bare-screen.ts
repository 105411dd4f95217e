import { SIDES } from '../../geometry/rect';
import { layerMeasure } from '../descriptor';
import { loss } from '../read';
import { UNITS } from '../units';

export const bareScreen = layerMeasure({
  id: 'bare-screen',
  word: 'bare',
  noun: 'bare part of the screen',
  unit: UNITS.share,
  sided: true,
  rule: { id: 'bare-edge', word: 'stops short of the screen’s edge' },
  limits: [
    {
      roles: ['background'],
      side: 'total',
      max: 0,
      outcome: 'warn',
      reason: 'A background that stops short of the edge shows what lies behind it.',
    },
    {
      roles: ['background'],
      side: 'total',
      max: 0.1,
      outcome: 'fail',
      reason: 'Bars of more than a tenth of the screen look like a mistake.',
    },
  ],
  hinges: ['insets'],
  read: (side) => loss((m) => m.bareScreen, side),
  why: 'bare-screen',
  shownOn: ({ bareScreen: { distance } }) => SIDES.reduce((a, b) => (distance[b] > distance[a] ? b : a)),
  mends: ['toTheScreen', 'fillTheScreen', 'otherFits'],
});
