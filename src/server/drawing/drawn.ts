import { Problem } from '../problem';
import { inChild, TaskEnded } from './children';
import { DRAWING } from './limits';
import { inTurn } from './queue';
import type { TaskInput, TaskKind, TaskResult } from './tasks';
import type { TaskProgress } from './progress';

/** For whom something is drawn. */
export interface For {
  project: string;
  /** of the request or the job: nobody waits any more when it is aborted */
  signal?: AbortSignal;
  /** hears how far it is, of what says so */
  onProgress?: (progress: TaskProgress) => void;
}

export interface Job<K extends TaskKind> {
  kind: K;
  input: TaskInput<K>;
  /** layers × px */
  cost: number;
  deadlineMs?: number;
  /** what is drawn, for messages, such as “a.svg” in quotes */
  name: string;
}

const seconds = (ms: number) => Math.round(ms / 1000);

/** Why a task ended early, in words with a way out. */
function words({ reason }: TaskEnded, name: string, deadlineMs: number): Problem {
  switch (reason) {
    case 'called off':
      return new Problem(499, `Nobody waits for ${name} any more.`);
    case 'time':
      return new Problem(
        422,
        `${name} takes too long to draw: more than ${seconds(deadlineMs)} s. Simplify its filters, or make it smaller.`,
      );
    case 'memory':
      return new Problem(
        422,
        `${name} takes too much memory to draw: more than ${Math.round(DRAWING.memoryBytes / 1e6)} MB. Simplify its filters, or make it smaller.`,
      );
    case 'lost':
      return new Problem(503, `${name} could not be drawn: the process that drew it was ended. Try again.`, {
        retryAfter: 1,
      });
  }
}

/**
 * Has something drawn or decoded when it is its turn, by a process of its own.
 * @throws Problem 422 for what takes too long or too much, 499 when it was called off, 503 when too many wait
 */
export async function drawn<K extends TaskKind>(
  { kind, input, cost, name, deadlineMs = DRAWING.deadlineMs }: Job<K>,
  { project, signal, onProgress }: For,
): Promise<TaskResult<K>> {
  try {
    return await inTurn({ project, cost }, () => inChild(kind, input, { deadlineMs, signal, onProgress }));
  } catch (error) {
    if (error instanceof TaskEnded) throw words(error, name, deadlineMs);
    throw error;
  }
}
