#!/usr/bin/env node
// The command line of Coulee: runs from wherever it is called, as it was built, or from its sources where those are newer.
import '../scripts/node-version.mjs';
import { readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { builtDrawing } from '../scripts/lib.mjs';

const folder = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
process.env.COULEE_FOLDER = folder;
process.env.TSX_TSCONFIG_PATH ??= path.join(folder, 'tsconfig.json');

/** Commands that draw many pictures. */
const DRAWING = ['render', 'report'];
/**
 * With these, memory that one thread gives back is used by the others, and the system gets it back early: a thousand pictures
 * then take a third of it. They are read when a process starts. Source: mallopt(3).
 */
const MEMORY = { MALLOC_ARENA_MAX: '2', MALLOC_TRIM_THRESHOLD_: '65536' };

if (DRAWING.includes(process.argv[2]) && process.env.MALLOC_ARENA_MAX === undefined) {
  const { spawnSync } = await import('node:child_process');
  const env = { ...process.env, ...MEMORY };
  const { status } = spawnSync(process.execPath, process.argv.slice(1), { env, stdio: 'inherit' });
  process.exit(status ?? 2);
}

const changedAt = (file) => statSync(file, { throwIfNoEntry: false })?.mtimeMs ?? 0;

/** Whether nothing was changed since a file was built. */
function isFresh(built) {
  const at = changedAt(built);
  const isOlder = (source) =>
    readdirSync(path.join(folder, source), { recursive: true }).every(
      (file) => changedAt(path.join(folder, source, file)) <= at,
    );
  return at > 0 && isOlder('src') && isOlder('data');
}

const built = path.join(folder, '.next', 'coulee.mjs');
if (isFresh(built)) {
  process.env.COULEE_DRAWING ??= builtDrawing;
  await import(pathToFileURL(built));
} else {
  const { register } = await import('tsx/esm/api');
  register();
  await import('../src/cli/main.ts');
}
