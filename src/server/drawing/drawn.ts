import { noteDamage } from '../damage';
import { Problem } from '../problem';
import { inChild, TaskEnded } from './children';
import { DRAWING } from './limits';
import { inTurn } from './queue';
import type { TaskInput, TaskKind, TaskResult } from './tasks';
import type { TaskProgress } from '../progress';

/** For whom something is drawn. */
export interface For {
  project: string;
  /** of the request or the job: nobody waits any more when it is aborted */
  signal?: AbortSignal;
  /** hears how far it is, of what says so */
  onProgress?: (progress: TaskProgress) => void;
}

/** For what the server makes for itself. */
export const NOBODY: For = { project: '' };

export interface Job<K extends TaskKind> {
  kind: K;
  input: TaskInput<K>;
  /** layers × px */
  cost: number;
  /** of processor time without a step */
  deadlineMs?: number;
  /** what is drawn, for messages, such as “a.svg” in quotes */
  name: string;
  /** what somebody can do about one that takes too long or too much, a sentence */
  wayOut?: string;
}

/** What can be done about most of what takes too long. */
const LESS = 'Ask for it at a smaller scale, or for less of it at a time.';

const seconds = (ms: number) => Math.round(ms / 1000);

interface Said {
  name: string;
  deadlineMs: number;
  wayOut: string;
}

/** Why a task ended early, in words with a way out. */
function words({ reason }: TaskEnded, { name, deadlineMs, wayOut }: Said): Problem {
  switch (reason) {
    case 'called off':
      return new Problem(499, `Nobody waits for ${name} any more.`);
    case 'time':
      return new Problem(
        422,
        `${name} takes too long: more than ${seconds(deadlineMs)} s of the processor. ${wayOut}`,
      );
    case 'busy':
      return new Problem(
        503,
        `This machine is busy with something else: ${name} did not come to its end. Try again in a moment.`,
        { retryAfter: 10 },
      );
    case 'memory':
      return new Problem(
        422,
        `${name} takes too much memory: more than ${Math.round(DRAWING.memoryBytes / 1e6)} MB. ${wayOut}`,
      );
    case 'lost':
      return new Problem(
        503,
        `${name} was not finished: the process that worked on it was ended. Try again.`,
        {
          retryAfter: 1,
        },
      );
  }
}

/**
 * Has something drawn or decoded when it is its turn, by a process of its own.
 * @throws Problem 422 for what takes too long or too much, 499 when it was called off, 503 when too many wait
 */
export async function drawn<K extends TaskKind>(
  { kind, input, cost, name, deadlineMs = DRAWING.deadlineMs, wayOut = LESS }: Job<K>,
  { project, signal, onProgress }: For,
): Promise<TaskResult<K>> {
  try {
    return await inTurn({ project, cost }, () => inChild(kind, input, { deadlineMs, signal, onProgress }));
  } catch (error) {
    // What a process of its own has noticed is known here as well.
    if (error instanceof Problem && typeof error.more.lost === 'string') noteDamage(error.more.lost);
    if (error instanceof TaskEnded) throw words(error, { name, deadlineMs, wayOut });
    throw error;
  }
}
