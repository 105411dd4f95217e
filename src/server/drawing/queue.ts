import PQueue, { type QueueAddOptions } from 'p-queue';
import { Problem } from '../problem';
import { DRAWING } from './limits';
import { shared } from '../process-wide';

type Work = () => Promise<unknown>;
interface Turn {
  /** whose turn it is; projects take turns among themselves */
  project: string;
  /** how much there is to do: layers × px */
  cost: number;
}

/** A waiting task lets those go first that came later by no more than this many times its cost in millions. */
const PER_MILLION = 1;

/**
 * Projects take turns, so that nobody waits for the many tasks of somebody else. Of one project small tasks go first; a
 * large one lets only so many go first as it is large, so that it has its turn as well.
 */
export class FairQueue {
  private readonly projects = new Map<string, { work: Work; key: number }[]>();
  private count = 0;
  private arrived = 0;

  get size(): number {
    return this.count;
  }

  enqueue(work: Work, { project = '', cost = 0 }: Partial<Turn> = {}): void {
    const key = this.arrived++ + (cost / 1e6) * PER_MILLION;
    const own = this.projects.get(project) ?? [];
    const at = own.findIndex((w) => w.key > key);
    own.splice(at < 0 ? own.length : at, 0, { work, key });
    this.projects.set(project, own);
    this.count++;
  }

  dequeue(): Work | undefined {
    const [next] = this.projects;
    if (!next) return undefined;
    const [project, own] = next;
    const { work } = own.shift()!;
    this.count--;
    // To the end of the round.
    this.projects.delete(project);
    if (own.length > 0) this.projects.set(project, own);
    return work;
  }

  filter(): Work[] {
    return [...this.projects.values()].flat().map((w) => w.work);
  }

  /** The order is by turns and cost alone. */
  setPriority(): void {}
}

const make = (concurrency: number) =>
  new PQueue<FairQueue, Partial<Turn> & QueueAddOptions>({ concurrency, queueClass: FairQueue });
type Queue = ReturnType<typeof make>;
const queues = shared('queues', () => ({ all: make(DRAWING.atOnce), large: make(1), short: make(1) }));

/**
 * Work that stands in two queues and is done by the one whose turn comes first.
 * @returns what it comes to; in the other queue its place is given up
 */
function inEither<T>(work: () => Promise<T>, first: Queue, second: Queue, turn: Turn): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    let isBegun = false;
    const once = async () => {
      if (isBegun) return;
      isBegun = true;
      clearTimeout(patience);
      await work().then(resolve, reject);
    };
    const patience = setTimeout(() => void second.add(once, turn).catch(reject), DRAWING.shortWaitMs);
    first.add(once, turn).catch(reject);
  });
}

/**
 * Does something when it is its turn: at most two at a time, of large ones one, so that a small one never waits for two of
 * them. A short one that is kept waiting is done beside them, one at a time. @throws Problem 503 when too many wait
 */
export async function inTurn<T>(turn: Turn, work: () => Promise<T>): Promise<T> {
  const { all, large, short } = queues();
  if (all.size + large.size + short.size >= DRAWING.mostWaiting)
    throw new Problem(
      503,
      'Very much is being drawn at the moment. It can be asked for again in a few seconds.',
      {
        retryAfter: 5,
      },
    );
  if (turn.cost <= DRAWING.short) return inEither(work, all, short, turn);
  const inAll = () => all.add(work, turn);
  return turn.cost > DRAWING.large ? large.add(inAll, turn) : inAll();
}
