import { layerMeasure } from '../descriptor';
import { sayWorst } from '../keep';
import { UNITS } from '../units';

export const keepLost = layerMeasure({
  id: 'keep-lost',
  word: 'keep area cut',
  noun: 'cut part of a keep area',
  unit: UNITS.share,
  rule: { id: 'keep-area-cut', word: 'has a keep area cut off' },
  limits: [
    {
      roles: ['background'],
      max: 0,
      outcome: 'fail',
      reason: 'What has to be seen of the picture is cut off.',
    },
  ],
  onCase: ({ keep }) => sayWorst(keep, (k) => k.lost, 'cut off'),
  hinges: [],
  read: () => (m) => m.keep && Math.max(...m.keep.map((k) => k.lost)),
  why: 'keep',
  mends: ['solvedPosition', 'otherCut', 'otherFits'],
});
