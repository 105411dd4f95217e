import sharp from 'sharp';
import { Problem } from '../problem';
import { DRAWING, OUT_OF_MEMORY } from './limits';
import { TASKS, type EndReport, type Order, type Report } from './tasks';

/**
 * Decodes and draws in a process of its own, one task at a time, so that what takes too long or too much can be ended
 * without anything else being hurt. Ends by itself with its server, and when it holds more memory than it may.
 */
const report = (r: Report) => {
  // The server may have gone in the meantime; then there is nobody to tell.
  if (process.connected) process.send?.(r, undefined, undefined, () => {});
};

// Nothing is asked for twice in a row, and what is kept here would be missing elsewhere.
sharp.cache(false);

const WATCH_MS = 20;
setInterval(() => {
  if (process.memoryUsage.rss() > DRAWING.memoryBytes) process.exit(OUT_OF_MEMORY);
}, WATCH_MS).unref();

async function carryOut({ kind, input, store }: Order): Promise<EndReport> {
  process.env.STORE_DIR = store;
  try {
    const value = await TASKS[kind](input as never, (progress) => report({ type: 'step', progress }));
    return { type: 'done', value, rss: process.memoryUsage.rss() };
  } catch (error) {
    if (error instanceof Problem) {
      const { status, message, more } = error;
      return { type: 'refused', status, message, more };
    }
    const { message, code } =
      error instanceof Error ? (error as NodeJS.ErrnoException) : { message: String(error) };
    return { type: 'failed', message, code };
  }
}

process.on('message', (order: Order) => void carryOut(order).then(report));
process.on('disconnect', () => process.exit(0));
if (!process.connected) process.exit(0);
report({ type: 'ready' });
