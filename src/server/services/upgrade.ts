import { eq } from 'drizzle-orm';
import { changeBetween } from '@/core/patch/change';
import { readDocuments, schemaOf } from '@/core/project/migrate';
import { SCHEMA_VERSION } from '@/core/project/project';
import { backUp, getDb, writing, type Db } from '../db/client';
import { projects } from '../db/schema';
import { appendHistory, storedDocuments, writeDocuments } from './projects';

/** Brings one project to the present version of the documents: a step of its history like any other. */
function upgrade(db: Db, id: string): void {
  writing((tx) => {
    const before = storedDocuments(id, tx);
    const after = readDocuments(before);
    const change = changeBetween<unknown>(crypto.randomUUID(), before, after);
    const row = tx.select({ revision: projects.revision }).from(projects).where(eq(projects.id, id)).get();
    if (!change || !row) return;
    const revision = row.revision + 1;
    writeDocuments(tx, id, null, after);
    tx.update(projects).set({ revision }).where(eq(projects.id, id)).run();
    appendHistory(tx, id, revision, change, new Date().toISOString());
  }, db);
}

const reasonOf = (error: unknown) => (error instanceof Error ? error.message : String(error));

/** Whether the documents of a project are of an older version; what they cannot be read for otherwise. */
function isOlder(db: Db, id: string): boolean | Error {
  try {
    return schemaOf(storedDocuments(id, db)) < SCHEMA_VERSION;
  } catch (error) {
    return new Error(reasonOf(error));
  }
}

/**
 * Brings the documents of all projects to the present version, after a copy of the database. They have to be of one
 * version as a whole before a change of one of them is saved. What cannot be read stays as it is.
 * @returns names of projects that could not be read, each with the reason
 */
export async function upgradeProjects(folder: string): Promise<string[]> {
  const db = getDb();
  const all = db.select({ id: projects.id, name: projects.name }).from(projects).all();
  const read = all.map((p) => ({ ...p, older: isOlder(db, p.id) }));
  if (read.some((p) => p.older === true)) await backUp(db, folder);
  return read.flatMap(({ id, name, older }) => {
    if (older === false) return [];
    if (older !== true) return [`${name}: ${older.message}`];
    try {
      upgrade(db, id);
      return [];
    } catch (error) {
      return [`${name}: ${reasonOf(error)}`];
    }
  });
}
