import { z } from 'zod';
import { LAYER_ROLES } from '../scene/scene';

/** Measures that a limit can be set on. What each means stands in the file of the same name. */
export const LAYER_MEASURES = [
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
  'keep-hidden',
  'excess',
  'under-cutout',
  'outside-corner',
  'under-bar',
  'across-fold',
  'off-centre',
  'off-centre-screen',
  'off-centre-safe',
  'overlap',
  'spill',
  'contrast',
  'collapse',
  'missing-letters',
  'cut-off',
  'shortened',
  'letter-size',
] as const;
export type LayerMeasure = (typeof LAYER_MEASURES)[number];

export const isOfLayers = (measure: MeasureName): measure is LayerMeasure =>
  (LAYER_MEASURES as readonly MeasureName[]).includes(measure);

/** Measures of a case as a whole, and of its bars. */
export const MEASURES = [...LAYER_MEASURES, 'bar-contrast', 'grounds', 'unpaired'] as const;
export type MeasureName = (typeof MEASURES)[number];

export const MeasureSide = z.enum(['left', 'right', 'top', 'bottom', 'total']);
export type MeasureSide = z.infer<typeof MeasureSide>;

/** What a limit is for: layers of a role, the bars of the system, or the scene as a whole. */
export const LIMIT_ROLES = [...LAYER_ROLES, 'bar', 'scene'] as const;

/** The worst value that is accepted. `side` matters for measures that have sides; without it the worst side counts. */
export const Limit = z.looseObject({
  measure: z.enum(MEASURES),
  side: MeasureSide.optional(),
  role: z.enum(LIMIT_ROLES),
  min: z.number().optional(),
  max: z.number().optional(),
  outcome: z.enum(['fail', 'warn']),
  reason: z.string().max(400).optional(),
});
export type Limit = z.infer<typeof Limit>;

/** Measures that are taken on each side; a limit on another one has no side. */
export const SIDED: readonly MeasureName[] = [
  'crop',
  'bare',
  'bare-screen',
  'clearance-safe',
  'clearance-screen',
];

/** Measures that a limit of a role can be set on. */
export const measuresFor = (role: Limit['role']): readonly MeasureName[] => {
  if (role === 'bar') return ['bar-contrast'];
  return role === 'scene' ? ['grounds', 'unpaired'] : LAYER_MEASURES;
};
