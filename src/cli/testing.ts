import { spawnSync } from 'node:child_process';
import path from 'node:path';
import { run } from './program';

/** What a command line ended with, and what it wrote. */
interface Ended {
  code: number | null;
  out: string;
  err: string;
}

/** Runs the command line in this process, which is enough for what needs no store of its own. */
export async function coulee(...args: string[]): Promise<Ended> {
  const said = { out: '', err: '' };
  const code = await run(args, {
    out: (text) => void (said.out += text),
    err: (text) => void (said.err += text),
  });
  return { code, ...said };
}

/** Runs it as a build does: as a process of its own, from another folder. */
export const spawnedIn =
  (folder: string) =>
  (...args: string[]): Ended => {
    const { status, stdout, stderr } = spawnSync(
      process.execPath,
      [path.resolve('bin/coulee.mjs'), ...args],
      { cwd: folder, encoding: 'utf8' },
    );
    return { code: status, out: stdout, err: stderr };
  };
