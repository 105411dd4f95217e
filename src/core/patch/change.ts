import { z } from 'zod';
import { applyPatch, diff, Operation, PatchError, sameJson } from './patch';

/** One step of editing: how it is done and how it is undone. The id is made where the step is made. */
export const Change = z.object({
  id: z.string().min(8).max(64),
  patch: z.array(Operation).min(1).max(5000),
  inverse: z.array(Operation).min(1).max(5000),
});
export type Change = z.infer<typeof Change>;

/** The step from one state to another, or `null` when they are the same. */
export function changeBetween<T>(id: string, before: T, after: T): Change | null {
  const patch = diff(before, after);
  return patch.length > 0 ? { id, patch, inverse: diff(after, before) } : null;
}

/** The step that takes a change back. */
export const inverted = (id: string, change: Change): Change => ({
  id,
  patch: change.inverse,
  inverse: change.patch,
});

/** Whether the inverse of a change leads back from `after` to `before`. */
export const leadsBack = <T>(change: Change, before: T, after: T): boolean =>
  sameJson(applyPatch(after, change.inverse), before);

/**
 * Whether a change can be taken back from the present state: undone and done again it must give that state, which it
 * does not where something later touched the same place.
 */
export function undoable<T>(change: Change, now: T): boolean {
  try {
    return sameJson(applyPatch(applyPatch(now, change.inverse), change.patch), now);
  } catch (error) {
    if (error instanceof PatchError) return false;
    throw error;
  }
}
