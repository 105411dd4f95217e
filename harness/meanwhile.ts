import { setTimeout as pause } from 'node:timers/promises';
import { ask } from './client';
import { memoryOf, type Served } from './server';

/** ms within which the server answers for its health, whatever is thrown at it. */
export const MOST_HEALTH_MS = 300;
const MB = 1024 * 1024;

/** What the server says while something is thrown at it: the longest that its health took, ms, and its own memory. */
export interface Meanwhile {
  worstMs: number;
  memoryBytes: number;
  /** how often nobody answered */
  unanswered: number;
}

/** Asks for the health over and over while something goes on. */
export async function meanwhile(served: Served, work: () => Promise<unknown>): Promise<Meanwhile> {
  const found: Meanwhile = { worstMs: 0, memoryBytes: 0, unanswered: 0 };
  let isOver = false;
  const watching = (async () => {
    while (!isOver) {
      const asked = performance.now();
      try {
        await (await ask(served.address, 'GET', '/api/v1/health')).arrayBuffer();
      } catch {
        found.unanswered++;
      }
      found.worstMs = Math.max(found.worstMs, performance.now() - asked);
      found.memoryBytes = Math.max(found.memoryBytes, memoryOf(served.child.pid!));
      await pause(20);
    }
  })();
  try {
    await work();
  } finally {
    isOver = true;
    await watching;
  }
  return found;
}

export const sayMeanwhile = ({ worstMs, memoryBytes, unanswered }: Meanwhile) =>
  `health at worst after ${Math.round(worstMs)} ms, ${unanswered} times not at all, ${Math.round(memoryBytes / MB)} MB in all`;

export const isFine = ({ worstMs, unanswered }: Meanwhile) => worstMs <= MOST_HEALTH_MS && unanswered === 0;
