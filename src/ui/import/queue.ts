import type { KeptFile } from '@/core/pictures/kept-file';
import type { Incoming } from './dropped';
import type { ImportItem } from './items';

/** A file that was taken in and waits for the others that came with it. */
export interface TakenFile {
  id: string;
  path: string;
  name: string;
  kept: KeptFile;
}

/** Files that came at once: they are one step, and one question where their names say more than one picture. */
export interface Batch {
  /** whether it is asked where they belong before they are taken */
  asks: boolean;
  taken: TakenFile[];
}

export interface Waiting extends Incoming {
  item: ImportItem;
  batch: Batch;
  abort: AbortController;
}

export interface QueueHost {
  /** takes one file in */
  importOne: (waiting: Waiting) => Promise<void>;
  /** taking it in ended in a way that nobody foresaw; the others go on */
  onFault: (waiting: Waiting, error: unknown) => void;
  /** every file of a batch has ended in one way or another */
  onBatch: (batch: Batch) => void;
}

/** Files one after another, however many come while some are on their way. */
export function createQueue({ importOne, onFault, onBatch }: QueueHost) {
  let waiting: Waiting[] = [];
  let running = false;
  const run = async () => {
    if (running) return;
    running = true;
    try {
      for (let next = waiting[0]; next; next = waiting[0]) {
        const current = next;
        await importOne(current).catch((error: unknown) => onFault(current, error));
        waiting = waiting.slice(1);
        const { batch } = next;
        if (!waiting.some((w) => w.batch === batch)) onBatch(batch);
      }
    } finally {
      running = false;
    }
  };
  return {
    add: (more: readonly Waiting[]): Promise<void> => {
      waiting = [...waiting, ...more];
      return run();
    },
    /** calls one off, or all */
    cancel: (id?: string) => {
      for (const w of waiting) if (id === undefined || w.item.id === id) w.abort.abort();
    },
  };
}
