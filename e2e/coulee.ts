import { execFile } from 'node:child_process';

/** What the command line ends with, and what it says. */
export const coulee = (...args: string[]) =>
  new Promise<{ code: number; out: string }>((resolve) => {
    execFile(process.execPath, ['bin/coulee.mjs', ...args], { maxBuffer: 64 * 1024 * 1024 }, (error, out) =>
      resolve({ code: typeof error?.code === 'number' ? error.code : 0, out }),
    );
  });
