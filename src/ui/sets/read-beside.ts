import * as Comlink from 'comlink';
import type { ReadTable } from '@/formats/screens/read';
import type { TableWorker } from '@/workers/table.worker';

/**
 * Reads a table of screens in a worker of its own: however long that takes, the page and what is measured go on.
 * @param header whether the first line names the columns; found out when absent
 * @throws Error in words, where it is no table, or the worker ends
 */
export async function readBeside(bytes: Uint8Array, header?: boolean): Promise<ReadTable> {
  const worker = new Worker(new URL('@/workers/table.worker.ts', import.meta.url), { type: 'module' });
  try {
    const died = new Promise<never>((_, reject) => {
      worker.addEventListener('error', (e) => reject(new Error(e.message || 'The worker has ended.')));
    });
    return await Promise.race([Comlink.wrap<TableWorker>(worker).readTable(bytes, header), died]);
  } finally {
    worker.terminate();
  }
}
