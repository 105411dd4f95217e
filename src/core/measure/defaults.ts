import { sameJson } from '../patch/patch';
import { ALL } from './all';
import type { LimitRole, StartLimit } from './descriptor';
import type { Limit } from './limit';

const limitsOf = (measure: Limit['measure'], { roles, since: _, ...limit }: StartLimit<LimitRole>): Limit[] =>
  roles.map((role) => ({ measure, role, ...limit }));

const listed: readonly { measure: Limit['measure']; start: StartLimit<LimitRole> }[] = ALL.flatMap(
  ({ id, limits }) => limits.map((start: StartLimit<LimitRole>) => ({ measure: id, start })),
);

/** Limits that a project starts with, each with its reason. */
export const DEFAULT_LIMITS: readonly Limit[] = listed.flatMap(({ measure, start }) =>
  limitsOf(measure, start),
);

/** Those of them that came with a version of the documents, which projects of the one before do not have. */
export const limitsSince = (version: number): Limit[] =>
  listed.flatMap(({ measure, start }) => (start.since === version ? limitsOf(measure, start) : []));

/** Whether a project has just the limits that one starts with, in whatever order. */
export const areDefault = (limits: readonly Limit[]): boolean =>
  limits.length === DEFAULT_LIMITS.length && DEFAULT_LIMITS.every((d) => limits.some((l) => sameJson(l, d)));
