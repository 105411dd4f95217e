import { layerMeasure } from '../descriptor';
import { UNITS } from '../units';

export const contrast = layerMeasure({
  id: 'contrast',
  word: 'contrast',
  noun: 'contrast',
  unit: UNITS.contrast,
  lessIsWorse: true,
  rule: { id: 'low-contrast', word: 'has too little contrast' },
  limits: [
    {
      roles: ['logo'],
      min: 3,
      outcome: 'warn',
      reason: 'WCAG 2.2 (1.4.11) asks for 3 : 1 of what has to be made out.',
    },
    {
      roles: ['text'],
      min: 4.5,
      outcome: 'warn',
      reason: 'WCAG 2.2 (1.4.3) asks for 4.5 : 1 of text, for 3 : 1 of text from 24 lu on.',
    },
    {
      roles: ['text'],
      min: 3,
      outcome: 'fail',
      reason: 'WCAG 2.2 (1.4.3) asks for 3 : 1 of text of any size.',
    },
    {
      roles: ['other'],
      min: 3,
      outcome: 'warn',
      reason: 'WCAG 2.2 (1.4.11) asks for 3 : 1 of what has to be made out.',
      since: 3,
    },
  ],
  hinges: [],
  inSlots: (_, alone) => !alone,
  read: () => (m) => m.contrast,
  why: 'contrast',
  mends: ['scrim', 'otherInk'],
});
