import Database from 'better-sqlite3';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { storeFault } from './store-faults';

const folder = mkdtempSync(path.join(tmpdir(), 'coulee-faults-'));
afterAll(() => rmSync(folder, { recursive: true }));
const said = (work: () => unknown): [number, string] | null => {
  try {
    work();
  } catch (error) {
    const problem = storeFault(error);
    return problem && [problem.status, problem.message];
  }
  throw new Error('nothing went wrong');
};
const open = (name: string, options = {}) => new Database(path.join(folder, name), options);

describe('what keeps a store from being used', () => {
  it('is said of a full disk', () => {
    const db = open('full.db');
    db.pragma('page_size = 512');
    db.exec('create table t (x)');
    db.pragma('max_page_count = 4');
    expect(said(() => db.prepare('insert into t values (?)').run('x'.repeat(9000)))).toEqual([
      507,
      expect.stringContaining('full'),
    ]);
    expect(storeFault(Object.assign(new Error(), { code: 'ENOSPC' }))!.status).toBe(507);
    db.close();
  });

  it('is said of one that may not be written to', () => {
    open('readonly.db').exec('create table t (x)').close();
    const db = open('readonly.db', { readonly: true });
    expect(said(() => db.exec('insert into t values (1)'))).toEqual([
      503,
      expect.stringContaining('written to'),
    ]);
    db.close();
  });

  it('is said of one that another program holds', () => {
    const [one, two] = [open('held.db'), open('held.db', { timeout: 0 })];
    one.exec('create table t (x)');
    one.exec('begin immediate');
    expect(said(() => two.exec('begin immediate'))).toEqual([
      503,
      expect.stringContaining('another program'),
    ]);
    one.close();
    two.close();
  });

  it('is said of one that is gone, and of one that is none', async () => {
    expect(said(() => open('nowhere/at/all.db'))).toBeNull();
    const gone = await readFile(path.join(folder, 'none')).catch((error: unknown) => error);
    expect(storeFault(gone)!.message).toContain('not there');
    writeFileSync(path.join(folder, 'text.db'), 'x'.repeat(4000));
    expect(said(() => open('text.db').exec('select * from t'))![1]).toContain('cannot be read');
    mkdirSync(path.join(folder, 'dir.db'));
    expect(said(() => open('dir.db'))![0]).toBe(503);
  });

  it('is no fault of a file of the product', async () => {
    const gone = await readFile(path.resolve('.next/no-such-file')).catch((error: unknown) => error);
    expect(storeFault(gone)).toBeNull();
  });

  it('is nothing that a program does wrong, and is found behind what wraps it', async () => {
    expect(storeFault(new TypeError('x is not a function'))).toBeNull();
    expect(storeFault('text')).toBeNull();
    const cause: unknown = await writeFile(path.join(folder, 'no', 'where'), 'x').catch((e: unknown) => e);
    expect(storeFault(new Error('Failed query', { cause }))!.status).toBe(503);
  });
});
