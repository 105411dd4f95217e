import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const spill = layerMeasure({
  id: 'spill',
  word: 'outside its box',
  noun: 'part outside its box',
  unit: UNITS.share,
  rule: { id: 'spill', word: 'larger than its box' },
  limits: [
    {
      roles: ['logo'],
      max: 0.25,
      outcome: 'warn',
      reason: 'It was placed by a box that it does not keep to.',
    },
    {
      roles: ['other'],
      max: 0.25,
      outcome: 'warn',
      reason: 'It was placed by a box that it does not keep to.',
      since: 3,
    },
    {
      roles: ['text'],
      max: 0.02,
      outcome: 'warn',
      reason: 'Its words reach out of the box that was meant for them.',
      since: 3,
    },
  ],
  hinges: [],
  read: () => (m) => m.spill,
  why: 'spill',
  mends: ['otherFits'],
});
