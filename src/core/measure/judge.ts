import type { LayerRole } from '../scene/scene';
import { figureOf, isOfLayers, MEASURE, type Limit, type MeasureName, type MeasureSide } from './limit';
import type { Measures } from './measures';

export type Outcome = 'clear' | 'warn' | 'fail';
export const OUTCOMES = ['fail', 'warn', 'clear'] as const satisfies readonly Outcome[];

/** What a value is held against: the least or the greatest that is accepted, or both, whatever is measured. */
export interface Bounds {
  measure: string;
  side?: MeasureSide;
  min?: number;
  max?: number;
  /** of what is beyond */
  outcome: 'fail' | 'warn';
  reason?: string;
}

/** A limit that is broken on one case. */
export class Breach<L extends Bounds = Limit> {
  constructor(
    /** of the layer; `bar:…` of a bar, `scene` of the case as a whole; whatever a launch or a picture is judged by */
    readonly subjectId: string,
    readonly limit: L,
    readonly value: number,
    /** by how much the limit is passed, in the measure's own unit, > 0 */
    readonly by: number,
    /** why it is taken as it is, where somebody has said so; it then does not count */
    readonly accepted?: string,
  ) {}
}

/** A breach as if nobody had accepted it. */
export const openAgain = ({ subjectId, limit, value, by }: Breach): Breach =>
  new Breach(subjectId, limit, value, by);

/** A value this close beyond its limit is the last bit of a sum, not a breach. */
const ROUNDING = 1e-9;

const rank: Record<Outcome, number> = { clear: 0, warn: 1, fail: 2 };
export const worse = (a: Outcome, b: Outcome): Outcome => (rank[a] >= rank[b] ? a : b);

/** @param found what is broken is added to these */
export function breachesOf(
  layer: { id: string; role: LayerRole },
  measures: Measures,
  limits: readonly Limit[],
  found: Breach[] = [],
): Breach[] {
  for (const { limit, read } of limitsFor(layer.role, limits))
    if (read) judge(layer.id, limit, read(measures), found);
  return found;
}

interface Held {
  limit: Limit;
  /** of a limit on layers: what reads the figure that it is held against */
  read: ((m: Measures) => number | null) | null;
}

const heldOf = (limit: Limit): Held => ({
  limit,
  read: isOfLayers(limit.measure) ? figureOf(limit.measure, limit.side) : null,
});

/** Limits by their role; the list of a project is never changed in place, and is asked for each layer of every case. */
const byRole = new WeakMap<readonly Limit[], Map<Limit['role'], Held[]>>();

function limitsFor(role: Limit['role'], limits: readonly Limit[]): readonly Held[] {
  let roles = byRole.get(limits);
  if (!roles) byRole.set(limits, (roles = new Map()));
  let own = roles.get(role);
  if (!own) roles.set(role, (own = limits.filter((l) => l.role === role).map(heldOf)));
  return own;
}

/** The limits of one role that a value breaks. @param valueOf `null` where a measure does not apply */
export function judged(
  layerId: string,
  role: Limit['role'],
  limits: readonly Limit[],
  valueOf: (limit: Limit) => number | null | undefined,
): Breach[] {
  const found: Breach[] = [];
  for (const { limit } of limitsFor(role, limits)) judge(layerId, limit, valueOf(limit), found);
  return found;
}

/** @param value `null` where the measure does not apply */
function judge(layerId: string, limit: Limit, value: number | null | undefined, found: Breach[]): void {
  if (value === null || value === undefined) return;
  const by = beyond(limit, value);
  if (by > ROUNDING) found.push(new Breach(layerId, limit, value, by));
}

/** By how much a value is beyond its bounds, in their unit; not over 0 where it keeps to them. */
function beyond({ max = Infinity, min = -Infinity }: Pick<Bounds, 'min' | 'max'>, value: number): number {
  return Math.max(value - max, min - value);
}

/** Whether a value is beyond its bounds, by more than the last bit of a sum. */
export const breaks = (bounds: Pick<Bounds, 'min' | 'max'>, value: number): boolean =>
  beyond(bounds, value) > ROUNDING;

/** The gravest of several bounds that a value is beyond; `null` where it keeps to all of them. */
export const gravestBreach = <L extends Bounds>(
  subjectId: string,
  bounds: readonly L[],
  value: number,
): Breach<L> | null =>
  gravest(
    bounds.filter((b) => breaks(b, value)).map((b) => new Breach(subjectId, b, value, beyond(b, value))),
  );

export function outcomeOf(breaches: readonly Breach[]): Outcome {
  let worst: Outcome = 'clear';
  for (const { accepted, limit } of breaches) {
    if (accepted) continue;
    if (limit.outcome === 'fail') return 'fail';
    worst = 'warn';
  }
  return worst;
}

/** Orders outcomes with the gravest first. */
export const byOutcome = (a: Outcome, b: Outcome) => rank[b] - rank[a];

/** By how many steps that an eye notices a limit is passed; of a launch or of files the measure’s own unit is the step. */
export const stepsBeyond = ({ limit, by }: Breach<Bounds>) =>
  by / (MEASURE[limit.measure as MeasureName]?.unit.step ?? 1);

/** The graver outcome first, then what is further beyond its limit. */
const byGravity = (a: Breach<Bounds>, b: Breach<Bounds>) =>
  byOutcome(a.limit.outcome, b.limit.outcome) || stepsBeyond(b) - stepsBeyond(a);

/** By which a breach is known: its layer, measure and side, whichever of their limits is broken. */
export const breachId = ({ subjectId, limit: { measure, side } }: Breach): string =>
  [subjectId, measure, side].filter(Boolean).join(' ');

/** The gravest breach, of equals the first: the one that is said when there is room for one. */
export function gravest<L extends Bounds>(breaches: readonly Breach<L>[]): Breach<L> | null {
  let worst: Breach<L> | null = null;
  for (const b of breaches) if (!b.accepted && (!worst || byGravity(b, worst) < 0)) worst = b;
  return worst;
}

/**
 * One breach for each measure and side of each layer, gravest first: where a value passes the limit for a failure
 * it has passed that for a warning as well, which is not worth saying.
 */
export function gravestOfEach(breaches: readonly Breach[]): Breach[] {
  const kept = new Map<string, Breach>();
  for (const b of breaches.toSorted(byGravity)) {
    const id = breachId(b);
    if (!kept.has(id)) kept.set(id, b);
  }
  return [...kept.values()];
}
