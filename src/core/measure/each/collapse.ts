import { LAYER_ROLES } from '../../scene/scene';
import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const collapse = layerMeasure({
  id: 'collapse',
  word: 'collapsed along',
  noun: 'number of collapsed axes',
  unit: { ...UNITS.count, say: (axes: number) => (axes === 1 ? '1 axis' : `${axes} axes`) },
  rule: { id: 'collapsed', word: 'collapsed to nothing' },
  limits: [{ roles: LAYER_ROLES, max: 0, outcome: 'fail', reason: 'Nothing of it is seen.' }],
  hinges: [],
  read: () => (m) => m.collapsed,
  why: 'collapse',
  mends: ['ownExtent', 'hide'],
});
