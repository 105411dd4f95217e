import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { migrateDb, openDb, untilFree } from './client';

const BACKUP = 'coulee.before-migration.db';
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'coulee-db-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A database as the first version of the product left it, with a project in it. */
function oldDatabase(): void {
  const db = new Database(path.join(folder, 'coulee.db'));
  db.exec(readFileSync('drizzle/0000_start.sql', 'utf8').replaceAll('--> statement-breakpoint', ''));
  db.exec(
    'create table __drizzle_migrations (id integer primary key, hash text not null, created_at numeric)',
  );
  const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as {
    entries: { when: number }[];
  };
  db.prepare('insert into __drizzle_migrations (hash, created_at) values (?, ?)').run(
    'start',
    journal.entries[0]!.when,
  );
  db.prepare('insert into projects values (?, ?, 1, ?, ?, null)').run('p', 'Old', 'then', 'then');
  db.close();
}

const names = (file: string) => {
  const db = new Database(path.join(folder, file), { readonly: true });
  const rows = db.prepare('select name from projects').all() as { name: string }[];
  db.close();
  return rows.map((r) => r.name);
};

describe('migration', () => {
  it('makes a new database without a copy of nothing', async () => {
    const db = openDb(folder);
    await migrateDb(db, folder);
    db.$client.close();
    expect(existsSync(path.join(folder, BACKUP))).toBe(false);
    expect(names('coulee.db')).toEqual([]);
  });

  it('copies an older database beside itself, keeps what it holds, and then is done', async () => {
    oldDatabase();
    const db = openDb(folder);
    await migrateDb(db, folder);
    const tables = db.$client.prepare("select name from sqlite_master where name = 'history'").all();
    expect(tables).toHaveLength(1);
    expect(names(BACKUP)).toEqual(['Old']);
    expect(names('coulee.db')).toEqual(['Old']);
    rmSync(path.join(folder, BACKUP));
    await migrateDb(db, folder);
    db.$client.close();
    expect(existsSync(path.join(folder, BACKUP))).toBe(false);
  });

  it('is durable: write-ahead log, full sync, foreign keys', () => {
    const db = openDb(folder);
    const pragma = (name: string) => db.$client.pragma(name, { simple: true });
    expect([pragma('journal_mode'), pragma('synchronous'), pragma('foreign_keys')]).toEqual(['wal', 2, 1]);
    db.$client.close();
  });
});

describe('while another program holds the database', () => {
  it('waits outside of the thread, and goes on when it is let go', async () => {
    const db = openDb(folder);
    await migrateDb(db, folder);
    const other = new Database(path.join(folder, 'coulee.db'));
    other.exec('begin immediate');
    let isFree = false;
    const waiting = untilFree(db).then(() => (isFree = true));
    // Others are answered meanwhile.
    for (let i = 0; i < 5; i++) await new Promise((resolve) => setTimeout(resolve, 20));
    expect(isFree).toBe(false);
    other.exec('rollback');
    other.close();
    await waiting;
    db.$client.exec("insert into projects values ('p', 'Free', 1, 'then', 'then', null)");
    db.$client.close();
    expect(names('coulee.db')).toEqual(['Free']);
  });

  it('is told by one statement within a moment', async () => {
    const db = openDb(folder);
    await migrateDb(db, folder);
    const other = new Database(path.join(folder, 'coulee.db'));
    other.exec('begin immediate');
    expect(() => db.$client.exec("delete from projects where id = 'p'")).toThrow('locked');
    expect(db.$client.pragma('busy_timeout', { simple: true })).toBeLessThan(300);
    other.close();
    db.$client.close();
  });
});
