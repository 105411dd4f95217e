import { z } from 'zod';
import { LAYER_ROLES } from '../scene/scene';

/** Measures that a limit can be set on. What each means stands in the file of the same name. */
export const MEASURES = [
  'crop',
  'bare',
  'bare-screen',
  'distortion',
  'enlargement',
  'clearance-safe',
  'clearance-screen',
  'share-width',
  'share-height',
  'share-area',
  'keep-lost',
  'contrast',
  'collapse',
] as const;
export type MeasureName = (typeof MEASURES)[number];

export const MeasureSide = z.enum(['left', 'right', 'top', 'bottom', 'total']);
export type MeasureSide = z.infer<typeof MeasureSide>;

/** The worst value that is accepted. `side` matters for measures that have sides; without it the worst side counts. */
export const Limit = z.looseObject({
  measure: z.enum(MEASURES),
  side: MeasureSide.optional(),
  role: z.enum(LAYER_ROLES),
  min: z.number().optional(),
  max: z.number().optional(),
  outcome: z.enum(['fail', 'warn']),
  reason: z.string().max(400).optional(),
});
export type Limit = z.infer<typeof Limit>;

export const DEFAULT_LIMITS: readonly Limit[] = [
  {
    measure: 'crop',
    side: 'total',
    role: 'background',
    max: 0.5,
    outcome: 'warn',
    reason: 'More than half of the picture is never seen.',
  },
  {
    measure: 'crop',
    side: 'total',
    role: 'background',
    max: 0.65,
    outcome: 'fail',
    reason: 'What is left is no longer the picture that was drawn.',
  },
  {
    measure: 'keep-lost',
    role: 'background',
    max: 0,
    outcome: 'fail',
    reason: 'What has to be seen of the picture is cut off.',
  },
  {
    measure: 'bare-screen',
    side: 'total',
    role: 'background',
    max: 0,
    outcome: 'warn',
    reason: 'A background that stops short of the edge shows what lies behind it.',
  },
  {
    measure: 'bare-screen',
    side: 'total',
    role: 'background',
    max: 0.1,
    outcome: 'fail',
    reason: 'Bars of more than a tenth of the screen look like a mistake.',
  },
  {
    measure: 'distortion',
    role: 'background',
    max: 0.02,
    outcome: 'warn',
    reason: 'Two per cent is about where a changed shape begins to be noticed.',
  },
  {
    measure: 'distortion',
    role: 'background',
    max: 0.1,
    outcome: 'fail',
    reason: 'Circles and faces look squashed.',
  },
  {
    measure: 'enlargement',
    role: 'background',
    max: 1.25,
    outcome: 'warn',
    reason: 'Beyond a quarter the loss of detail shows in a photo.',
  },
  {
    measure: 'enlargement',
    role: 'background',
    max: 2,
    outcome: 'fail',
    reason: 'Every pixel of the file covers four or more of the screen.',
  },
  { measure: 'crop', side: 'total', role: 'logo', max: 0, outcome: 'fail', reason: 'A logo is shown whole.' },
  {
    measure: 'distortion',
    role: 'logo',
    max: 0.005,
    outcome: 'fail',
    reason: 'A logo keeps its shape; half a per cent is rounding.',
  },
  {
    measure: 'enlargement',
    role: 'logo',
    max: 1,
    outcome: 'warn',
    reason: 'Sharp edges show every enlargement.',
  },
  {
    measure: 'enlargement',
    role: 'logo',
    max: 1.5,
    outcome: 'fail',
    reason: 'The edges of the logo are visibly soft.',
  },
  {
    measure: 'clearance-safe',
    role: 'logo',
    min: 8,
    outcome: 'warn',
    reason: 'Closer than 8 lu to the edge of the safe area looks like an accident.',
  },
  {
    measure: 'clearance-safe',
    role: 'logo',
    min: 0,
    outcome: 'fail',
    reason: 'The logo lies under a bar, a cutout or a rounded corner.',
  },
  {
    measure: 'share-width',
    role: 'logo',
    min: 0.12,
    outcome: 'warn',
    reason: 'Under an eighth of the width a logo is hard to make out.',
  },
  {
    measure: 'share-height',
    role: 'logo',
    max: 0.6,
    outcome: 'warn',
    reason: 'A logo over more than three fifths of the height leaves no air around it.',
  },
  {
    measure: 'contrast',
    role: 'logo',
    min: 3,
    outcome: 'warn',
    reason: 'WCAG 2.2 (1.4.11) asks for 3 : 1 of what has to be made out.',
  },
  {
    measure: 'contrast',
    role: 'text',
    min: 4.5,
    outcome: 'warn',
    reason: 'WCAG 2.2 (1.4.3) asks for 4.5 : 1 of text, for 3 : 1 of text from 24 lu on.',
  },
  {
    measure: 'contrast',
    role: 'text',
    min: 3,
    outcome: 'fail',
    reason: 'WCAG 2.2 (1.4.3) asks for 3 : 1 of text of any size.',
  },
  ...LAYER_ROLES.map((role) => ({
    measure: 'collapse' as const,
    role,
    max: 0,
    outcome: 'fail' as const,
    reason: 'Nothing of it is seen.',
  })),
];
