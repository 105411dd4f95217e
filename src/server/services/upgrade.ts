import { eq } from 'drizzle-orm';
import { changeBetween } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { readDocuments, schemaOf } from '@/core/project/migrate';
import { SCHEMA_VERSION } from '@/core/project/project';
import { Evidence } from '@/core/project/proof';
import { backUp, getDb, writing, type Db } from '../db/client';
import { evidence, projects } from '../db/schema';
import { keepFile } from '../importing/picture';
import { appendHistory, storedDocuments, writeDocuments, type Handle } from './projects';

/** Makes other documents of those of a project: a step of its history like any other. @param besides in the same transaction */
function step(
  db: Db,
  id: string,
  make: (before: unknown) => Documents,
  besides?: (tx: Handle) => void,
): void {
  writing((tx) => {
    const before = storedDocuments(id, tx);
    const after = make(before);
    besides?.(tx);
    const change = changeBetween<unknown>(crypto.randomUUID(), before, after);
    const row = tx.select({ revision: projects.revision }).from(projects).where(eq(projects.id, id)).get();
    if (!change || !row) return;
    const revision = row.revision + 1;
    writeDocuments(tx, id, null, after);
    tx.update(projects).set({ revision }).where(eq(projects.id, id)).run();
    appendHistory(tx, id, revision, change, new Date().toISOString());
  }, db);
}

/** Brings one project to the present version of the documents. */
const upgrade = (db: Db, id: string): void => step(db, id, readDocuments);

/** Screenshots that were kept beside the documents are brought into them. */
async function takeInEvidence(db: Db, id: string): Promise<void> {
  const rows = db.select().from(evidence).where(eq(evidence.projectId, id)).orderBy(evidence.number).all();
  if (rows.length === 0) return;
  const found: Evidence[] = [];
  for (const { body, picture } of rows) {
    const { hash } = await keepFile(picture, 'where a screenshot differs');
    found.push(Evidence.parse({ ...(JSON.parse(body) as object), picture: hash }));
  }
  const withThem = (before: unknown): Documents => {
    const { project, scenes } = readDocuments(before);
    return { project: { ...project, evidence: [...(project.evidence ?? []), ...found] }, scenes };
  };
  step(db, id, withThem, (tx) => tx.delete(evidence).where(eq(evidence.projectId, id)).run());
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
  const problems: string[] = [];
  for (const { id, name, older } of read)
    try {
      if (older instanceof Error) throw older;
      if (older) upgrade(db, id);
      await takeInEvidence(db, id);
    } catch (error) {
      problems.push(`${name}: ${reasonOf(error)}`);
    }
  return problems;
}
