import { wholeMeasure } from '../descriptor';
import { UNITS } from '../units';

export const barContrast = wholeMeasure({
  id: 'bar-contrast',
  of: 'bar',
  word: 'symbols on the bar',
  noun: 'contrast of the symbols',
  unit: UNITS.contrast,
  lessIsWorse: true,
  rule: { id: 'bar-unreadable', word: 'has symbols that lack contrast' },
  limits: [
    {
      roles: ['bar'],
      min: 3,
      outcome: 'warn',
      reason: 'WCAG 2.2 (1.4.11) asks for 3 : 1 of what has to be made out.',
    },
  ],
  hinges: ['bars'],
  why: 'What lies under the bar is too much like its symbols.',
  mends: ['barSigns'],
});
