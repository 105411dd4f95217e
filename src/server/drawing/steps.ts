import { setImmediate } from 'node:timers/promises';
import type { TaskProgress } from '../progress';

/** Says how far a task is; what was said goes out, and the memory is looked at, before it goes on. */
export const saying =
  (onStep: (progress: TaskProgress) => void) =>
  async (progress: TaskProgress): Promise<void> => {
    onStep(progress);
    await setImmediate();
  };
