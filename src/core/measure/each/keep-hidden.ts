import { layerMeasure } from '../descriptor';
import { sayWorst } from '../keep';
import { UNITS } from '../units';

export const keepHidden = layerMeasure({
  id: 'keep-hidden',
  word: 'keep area hidden',
  noun: 'hidden part of a keep area',
  unit: UNITS.share,
  rule: { id: 'keep-area-hidden', word: 'has a keep area hidden' },
  limits: [],
  onCase: ({ keep }) => sayWorst(keep, (k) => k.hidden, 'hidden'),
  hinges: ['cutouts', 'cornerRadius'],
  read: () => (m) => m.keep && Math.max(...m.keep.map((k) => k.hidden)),
  why: 'keep',
  mends: ['solvedPosition', 'otherFits'],
});
