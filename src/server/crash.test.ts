import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { previewWidths } from '@/core/pictures/previews';
import { getDb, openDb } from './db/client';
import { blobs } from './db/schema';
import { listProjects, loadProject } from './services/projects';
import { sweep } from './store/sweep';

const ROUNDS = 10;
const store = mkdtempSync(path.join(tmpdir(), 'coulee-crash-'));

/**
 * Lets the child work until it was told that some number of things are done and a little longer, kills it, and
 * returns what it was told.
 */
function runAndKill(done: number, longerMs: number): Promise<string[]> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'src/server/testing/crash-child.ts'], {
    env: { ...process.env, STORE_DIR: store },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let output = '';
  let ending = false;
  const lines = () => output.split('\n').slice(0, -1);
  child.stdout.on('data', (data: Buffer) => {
    output += data.toString();
    if (ending || lines().length < done) return;
    ending = true;
    setTimeout(() => child.kill('SIGKILL'), longerMs);
  });
  return new Promise((resolve) => {
    child.on('close', () => resolve(lines()));
  });
}

const last = <T>(list: T[]): T | undefined => list[list.length - 1];
const fileOf = (hash: string) => path.join(store, 'pictures', hash.slice(0, 2), hash);

beforeAll(() => {
  process.env.STORE_DIR = store;
});
afterAll(() => {
  getDb().$client.close();
  rmSync(store, { recursive: true, force: true });
});

it(
  'loses nothing that was acknowledged and leaves nothing dangling, whenever it is killed',
  async () => {
    let acknowledged = 0;
    for (let round = 0; round < ROUNDS; round++) {
      const lines = await runAndKill(1 + Math.floor(Math.random() * 8), Math.random() * 60);
      acknowledged += lines.length - 1;
      const db = openDb(store);
      const rows = db.select().from(blobs).all();
      const known = new Set(rows.map((r) => r.hash));
      db.$client.close();

      const [project] = listProjects();
      const { revision, documents } = loadProject(project!.id);
      const saved = last(lines.filter((l) => l.startsWith('saved')))
        ?.split(' ')
        .map(Number);
      expect(revision).toBeGreaterThanOrEqual(saved?.[1] ?? 1);
      expect(documents.project.pictures.length).toBeGreaterThanOrEqual(Math.min(400, saved?.[2] ?? 0));
      for (const line of lines.filter((l) => l.startsWith('kept')))
        expect(known).toContain(line.split(' ')[1]);

      const named = documents.project.pictures.map((p) => p.cuts[0]!.renditions[0]!.hash);
      for (const hash of named) expect(known).toContain(hash);
      for (const { hash, ...size } of rows) {
        expect(
          createHash('sha256')
            .update(readFileSync(fileOf(hash)))
            .digest('hex'),
        ).toBe(hash);
        for (const width of previewWidths(size)) {
          expect(existsSync(path.join(store, 'previews', hash.slice(0, 2), `${hash}-${width}.webp`))).toBe(
            true,
          );
        }
      }
    }
    expect(acknowledged).toBeGreaterThan(ROUNDS);
    await sweep();
    const left = readdirSync(store, { recursive: true }).map(String);
    expect(left.filter((name) => name.endsWith('.part'))).toEqual([]);
  },
  5 * 60_000,
);
