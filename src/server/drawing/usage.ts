import { readFileSync } from 'node:fs';

/** What a process has used. */
export interface Usage {
  /** processor time of all its threads, ms */
  cpuMs: number;
  /** memory that it holds, bytes */
  rssBytes: number;
}

/** Of the clock in which the system counts processor time, and of a page of memory; Linux has the same everywhere. */
const TICK_MS = 10;
const PAGE_BYTES = 4096;

/**
 * What a process has used since it began; `null` where the system does not say, or where it has ended.
 * Source: proc_pid_stat(5), fields 14, 15 and 24.
 */
export function usageOf(pid: number): Usage | null {
  let stat: string;
  try {
    stat = readFileSync(/* turbopackIgnore: true */ `/proc/${pid}/stat`, 'latin1');
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ENOENT' || code === 'ESRCH' || code === 'EACCES') return null;
    throw error;
  }
  // The name of the program, in brackets, may hold spaces: what is counted comes after it.
  const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
  const field = (n: number) => Number(fields[n - 3]);
  return { cpuMs: (field(14) + field(15)) * TICK_MS, rssBytes: field(24) * PAGE_BYTES };
}
