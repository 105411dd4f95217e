import { mkdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import Database from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { isLocked } from './hold';
import { productFolder, storeFolder } from '../settings';
import * as schema from './schema';
import { checkStoreThere, databaseIn, rememberStore } from '../there';

/** While another program holds the database, ms. */
const BUSY = {
  /** for which one statement waits; nobody else is answered meanwhile */
  blockingMs: 200,
  /** for which somebody who wants to write waits, while others are answered */
  waitingMs: 5000,
  /** between two tries */
  everyMs: 40,
};

const migrations = () => path.join(/* turbopackIgnore: true */ productFolder(), 'drizzle');

/** Opens the database of a store folder, making both if they are not there. */
export function openDb(folder: string) {
  mkdirSync(folder, { recursive: true });
  const sqlite = new Database(databaseIn(folder));
  sqlite.pragma('journal_mode = WAL');
  sqlite.pragma('synchronous = FULL');
  sqlite.pragma('foreign_keys = ON');
  sqlite.pragma(`busy_timeout = ${BUSY.blockingMs}`);
  return drizzle(sqlite, { schema });
}
/** Opens the database of a store that is there, to read it alone: a server may hold it meanwhile. @throws the fault of the database */
export function openToRead(folder: string): Db {
  const sqlite = new Database(databaseIn(folder), { readonly: true, fileMustExist: true });
  sqlite.pragma(`busy_timeout = ${BUSY.blockingMs}`);
  return drizzle(sqlite, { schema });
}
export type Db = ReturnType<typeof openDb>;

/** Brings the tables up to date; a database that already holds some is copied beside itself first. */
export async function migrateDb(db: Db, folder: string): Promise<void> {
  const tables = db.$client.prepare(
    "select count(*) as n from sqlite_master where name = '__drizzle_migrations'",
  );
  const { n } = tables.get() as { n: number };
  if (n > 0 && pendingMigrations(db)) await backUp(db, folder);
  migrate(db, { migrationsFolder: migrations() });
}

/** Copies the database beside itself, over an older copy. */
export async function backUp(db: Db, folder: string): Promise<void> {
  await db.$client.backup(path.join(folder, 'coulee.before-migration.db'));
}

function pendingMigrations(db: Db): boolean {
  const journal = readFileSync(path.join(migrations(), 'meta', '_journal.json'), 'utf8');
  const { entries } = JSON.parse(journal) as { entries: unknown[] };
  const { n } = db.$client.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number };
  return n < entries.length;
}

const shared = globalThis as unknown as { couleeDb?: Db };

/** One handle per process; on globalThis, so that development reloads and separate bundles share it. */
export function getDb(): Db {
  if (shared.couleeDb) return shared.couleeDb;
  const folder = storeFolder();
  const db = openDb(folder);
  rememberStore(databaseIn(folder));
  return (shared.couleeDb = db);
}

/** Whether nobody else holds the database for writing. */
function isFree({ $client }: Db): boolean {
  $client.pragma('busy_timeout = 0');
  try {
    $client.exec('begin immediate; rollback');
    return true;
  } catch (error) {
    // Any other fault is told by what is wanted of it.
    return !isLocked(error);
  } finally {
    $client.pragma(`busy_timeout = ${BUSY.blockingMs}`);
  }
}

/**
 * Waits until nobody else holds the database, or for as long as anybody is kept waiting: others are answered meanwhile. Whoever
 * writes then waits no longer than a moment.
 */
export async function untilFree(db = getDb()): Promise<void> {
  const until = Date.now() + BUSY.waitingMs;
  while (!isFree(db) && Date.now() < until) await pause(BUSY.everyMs);
}

/**
 * A transaction that writes. It takes the lock at its beginning: one that first reads and then wants to write is refused at
 * once where another has written in between, however long it may wait for a lock.
 * Source: SQLite, “Transactions”, and `SQLITE_BUSY_SNAPSHOT`.
 * @throws Problem 503 when the store is no longer where it was
 */
export const writing = <T>(
  work: (tx: Parameters<Parameters<Db['transaction']>[0]>[0]) => T,
  db = getDb(),
): T => {
  checkStoreThere();
  return db.transaction(work, { behavior: 'immediate' });
};
