import type { Limit } from './limit';

/** Younger than the others: projects that were made before it get it as well. */
export const MISSING_LETTERS: Limit = {
  measure: 'missing-letters',
  role: 'text',
  max: 0,
  outcome: 'warn',
  reason:
    'Where the font has no letter a box is drawn: on a phone some other font stands in, or a box as well.',
};

/** Younger as well: what is drawn is judged whatever its role. */
export const DRAWN_IS_JUDGED: readonly Limit[] = [
  {
    measure: 'contrast',
    role: 'other',
    min: 3,
    outcome: 'warn',
    reason: 'WCAG 2.2 (1.4.11) asks for 3 : 1 of what has to be made out.',
  },
  {
    measure: 'spill',
    role: 'other',
    max: 0.25,
    outcome: 'warn',
    reason: 'It was placed by a box that it does not keep to.',
  },
  {
    measure: 'spill',
    role: 'text',
    max: 0.02,
    outcome: 'warn',
    reason: 'Its words reach out of the box that was meant for them.',
  },
  {
    measure: 'cut-off',
    role: 'other',
    max: 0,
    outcome: 'warn',
    reason: 'What is cut out of its ground is drawn to be seen whole.',
  },
  {
    measure: 'cut-off',
    role: 'text',
    max: 0,
    outcome: 'fail',
    reason: 'Letters that are cut off cannot be read.',
  },
  ...(['text', 'other'] as const).flatMap((role): Limit[] => [
    {
      measure: 'shortened',
      role,
      max: 0,
      outcome: 'warn',
      reason: 'It ends in an ellipsis: the rest of what it says is not there.',
    },
    {
      measure: 'letter-size',
      role,
      min: 9,
      outcome: 'warn',
      reason: 'Letters under 9 lu are hard to read at the length of an arm.',
    },
  ]),
];

/** Younger still: a measure that had no limit. */
export const WASTE_IS_SAID: readonly Limit[] = (['background', 'logo', 'other'] as const).map((role) => ({
  measure: 'excess',
  role,
  max: 16,
  outcome: 'warn',
  reason: 'Sixteen times as long along each side: of 256 pixels that are read into memory, one is shown.',
}));
