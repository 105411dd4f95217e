import { z } from 'zod';
import { applyPatch, diff, Operation, PatchError, sameJson } from './patch';

/** What a step is called: which command it was made by, and that in words, such as “move Emblem forward”. */
export const Step = z.object({
  command: z.string().min(1).max(60),
  name: z.string().min(1).max(300),
  /** where it takes that back */
  undone: z.literal(true).optional(),
});
export type Step = z.infer<typeof Step>;

/** One step of editing: how it is done and how it is undone. The id is made where the step is made. */
export const Change = z.object({
  id: z.string().min(8).max(64),
  patch: z.array(Operation).min(1).max(5000),
  inverse: z.array(Operation).min(1).max(5000),
  step: Step.optional(),
});
export type Change = z.infer<typeof Change>;

/** The step from one state to another, or `null` when they are the same. */
export function changeBetween<T>(id: string, before: T, after: T, step?: Step | null): Change | null {
  const patch = diff(before, after);
  return patch.length > 0 ? { id, patch, inverse: diff(after, before), ...(step && { step }) } : null;
}

/** The step that takes a change back; of one that takes something back, the step that does it again. */
export function inverted(id: string, { patch, inverse, step }: Change): Change {
  const { undone, ...called } = step ?? {};
  const back = step && ({ ...called, ...(!undone && { undone: true }) } as Step);
  return { id, patch: inverse, inverse: patch, ...(back && { step: back }) };
}

/** “move Emblem forward”, “undo: move Emblem forward” */
export const sayStep = ({ name, undone }: Step): string => (undone ? `undo: ${name}` : name);

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
