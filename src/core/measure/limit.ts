import { z } from 'zod';
import { ALL } from './all';
import { LIMIT_ROLES, type LayerDescriptor } from './descriptor';
import { SLOT_KIND, type Screen } from '../screens/screen';
import type { Figure } from './read';
import { MeasureSide } from './side';
import { documentObject } from '../values/object';

export { LIMIT_ROLES } from './descriptor';
export { MeasureSide } from './side';

type Every = (typeof ALL)[number];
/** Measures that a limit can be set on: of layers, of the bars, and of a case as a whole. */
export type MeasureName = Every['id'];
type OfLayers = Extract<Every, { of: 'layer' }>;
export type LayerMeasure = OfLayers['id'];

const isOfLayer = (d: Every): d is OfLayers => d.of === 'layer';

/** What there is to know of each measure, by its id. */
export const MEASURE = Object.fromEntries(ALL.map((d) => [d.id, d])) as {
  readonly [K in MeasureName]: Extract<Every, { id: K }>;
};

export const MEASURES: readonly MeasureName[] = ALL.map((d) => d.id);
export const LAYER_MEASURES: readonly LayerMeasure[] = ALL.filter(isOfLayer).map((d) => d.id);

export const isOfLayers = (measure: MeasureName): measure is LayerMeasure => MEASURE[measure].of === 'layer';

/**
 * What reads the figure that a limit is held against; it gives `null` where the measure does not apply. Without a side a
 * measure of losses gives its total and a clearance its smallest side.
 */
export const figureOf = (name: LayerMeasure, side?: MeasureSide): Figure => MEASURE[name].read(side);

/** The name of a measure, as documents have it. */
export const MeasureId = z.enum(MEASURES as [MeasureName, ...MeasureName[]]);

/** The worst value that is accepted. `side` matters for measures that have sides; without it the worst side counts. */
export const Limit = documentObject({
  measure: MeasureId,
  side: MeasureSide.optional(),
  role: z.enum(LIMIT_ROLES),
  min: z.number().optional(),
  max: z.number().optional(),
  outcome: z.enum(['fail', 'warn']),
  reason: z.string().max(400).optional(),
});
export type Limit = z.infer<typeof Limit>;

const isFor = (role: Limit['role'], d: Every): boolean => {
  if (!isOfLayer(d)) return d.of === role;
  const { roles }: Pick<LayerDescriptor, 'roles'> = d;
  return role !== 'bar' && role !== 'scene' && (!roles || roles.includes(role));
};

/** Limits that mean something in the slots of icons, by all of a project; such lists are never changed in place. */
const ofSlots = new WeakMap<readonly Limit[], Record<'whole' | 'alone', readonly Limit[]>>();

const isInSlots = (limit: Limit, alone: boolean): boolean => {
  const { inSlots }: Pick<LayerDescriptor, 'inSlots'> = MEASURE[limit.measure];
  return inSlots?.(limit, alone) ?? true;
};

/** The limits that a case on a screen is held against. */
export function limitsOn(
  { kind, shows }: Pick<Screen, 'kind' | 'shows'>,
  limits: readonly Limit[],
): readonly Limit[] {
  if (kind !== SLOT_KIND) return limits;
  const own = ofSlots.get(limits) ?? {
    whole: limits.filter((l) => isInSlots(l, false)),
    alone: limits.filter((l) => isInSlots(l, true)),
  };
  ofSlots.set(limits, own);
  return shows ? own.alone : own.whole;
}

/** Measures that a limit of a role can be set on. */
export const measuresFor = (role: Limit['role']): readonly MeasureName[] =>
  ALL.filter((d) => isFor(role, d)).map((d) => d.id);
