import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, renameSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';

const LONGEST_MS = 240_000;

/** Puts the demo into a store, as it is put there before a first start. */
function prepared(store: string): Promise<void> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/prepare.ts'], {
    env: { ...process.env, STORE_DIR: store },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('exit', (code) =>
      code === 0 ? resolve() : reject(new Error(`The demo could not be put into ${store}: ${code}.`)),
    );
  });
}

/** Whether this is the first that asks for something: a folder can be made once. */
function isFirst(lock: string): boolean {
  try {
    mkdirSync(lock);
    return true;
  } catch {
    return false;
  }
}

/**
 * A store that holds the demo, made by the first test of a run that asks for it; it is there to be copied.
 * @throws Error where it cannot be made, or is not made by whoever began to
 */
export async function sharedDemo(): Promise<string> {
  const store = path.join(process.env.TEST_SHARED!, 'demo');
  if (isFirst(`${store}.lock`)) {
    const begun = `${store}.part`;
    await prepared(begun);
    renameSync(begun, store);
  }
  const until = Date.now() + LONGEST_MS;
  while (!existsSync(store)) {
    if (Date.now() > until) throw new Error('The store that the tests share was begun, and is not there.');
    await pause(100);
  }
  return store;
}
