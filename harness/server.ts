import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A server of the built product with a store of its own, as `npm start` would have it. */
export interface Served {
  address: string;
  port: number;
  /** its process, which can be killed at any moment */
  child: ChildProcess;
  stop: () => Promise<void>;
}

export const newStore = () => mkdtempSync(path.join(tmpdir(), 'coulee-harness-'));
export const removeStore = (store: string) => rmSync(store, { recursive: true, force: true });

async function freePort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((resolve) => probe.listen(0, '127.0.0.1', resolve));
  const { port } = probe.address() as { port: number };
  await new Promise((resolve) => probe.close(resolve));
  return port;
}

const envOf = (store: string, port = 0) => ({
  ...process.env,
  STORE_DIR: store,
  PORT: String(port),
  HOST: '127.0.0.1',
  ADDRESS: `http://127.0.0.1:${port}`,
  NODE_ENV: 'production' as const,
  LOG_LEVEL: 'silent',
});

/** Brings a store up to date, as it is before each start. @returns what was said, and whether it went well */
export function prepare(store: string): { ok: boolean; said: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'scripts/prepare.ts'], {
    env: envOf(store),
    encoding: 'utf8',
  });
  return { ok: status === 0, said: stdout + stderr };
}

const isUp = (address: string) =>
  fetch(`${address}/api/v1/health`).then(
    (r) => r.ok,
    () => false,
  );
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

const START_MS = 60_000;

interface How {
  /** a free one when absent */
  port?: number;
  env?: Record<string, string>;
}

/** Starts a server on a prepared store. @throws when it does not answer within a minute */
export async function serve(store: string, how: How = {}): Promise<Served> {
  const port = how.port ?? (await freePort());
  const child = spawn(process.execPath, ['scripts/serve.mjs'], {
    env: { ...envOf(store, port), ...how.env },
    stdio: ['ignore', 'ignore', process.env.HARNESS_LOG ? 'inherit' : 'ignore'],
  });
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  const address = `http://127.0.0.1:${port}`;
  const deadline = Date.now() + START_MS;
  while (!(await isUp(address))) {
    if (Date.now() > deadline || child.exitCode !== null) {
      child.kill('SIGKILL');
      throw new Error('The server did not start. Build it first: npm run build.');
    }
    await pause(50);
  }
  const stop = () => {
    child.kill('SIGTERM');
    return ended;
  };
  return { address, port, child, stop };
}

let template: string | null = null;

/** A store that is ready, with the demo in it: made once, and then copied. @throws when it cannot be made */
export function readyStore(store: string): void {
  if (template === null) {
    const made = newStore();
    process.once('exit', () => removeStore(made));
    const { ok, said } = prepare(made);
    if (!ok) throw new Error(`The store could not be made ready. ${said}`);
    template = made;
  }
  cpSync(template, store, { recursive: true });
}

/** Does something with a server on a store of its own, and puts both away. */
export async function withServer<T>(work: (served: Served, store: string) => Promise<T>): Promise<T> {
  const store = newStore();
  try {
    readyStore(store);
    const served = await serve(store);
    try {
      return await work(served, store);
    } finally {
      await served.stop();
    }
  } finally {
    removeStore(store);
  }
}

/** Memory that a process and all that it started hold, in bytes; 0 where the system does not say. */
export function memoryOf(pid: number): number {
  const childrenOf = (of: number): number[] => {
    try {
      return readdirSync(`/proc/${of}/task`).flatMap((task) =>
        readFileSync(`/proc/${of}/task/${task}/children`, 'utf8').split(' ').filter(Boolean).map(Number),
      );
    } catch {
      return [];
    }
  };
  const heldBy = (of: number): number => {
    try {
      return Number(/^VmRSS:\s+(\d+)/m.exec(readFileSync(`/proc/${of}/status`, 'utf8'))?.[1] ?? 0) * 1024;
    } catch {
      return 0;
    }
  };
  return heldBy(pid) + childrenOf(pid).reduce((sum, child) => sum + memoryOf(child), 0);
}
