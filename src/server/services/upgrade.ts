import { and, desc, eq } from 'drizzle-orm';
import { changeBetween } from '@/core/patch/change';
import { applyPatch, PatchError, type Patch } from '@/core/patch/patch';
import { stepOf } from '@/core/steps/commands';
import { stepFromPaths } from '@/core/steps/from-paths';
import type { Documents } from '@/core/project/documents';
import { readDocuments, schemaOf } from '@/core/project/migrate';
import { SCHEMA_VERSION } from '@/core/project/project';
import { Evidence } from '@/core/project/proof';
import { backUp, getDb, writing, type Db } from '../db/client';
import { evidence, history, projects } from '../db/schema';
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
    const change = changeBetween<unknown>(crypto.randomUUID(), before, after, stepOf('project.upgrade'));
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

/** Documents before a step, of whatever version; `null` where the step cannot be taken back. */
function takenBack(now: unknown, inverse: Patch): unknown {
  try {
    return now && applyPatch(now, inverse);
  } catch (error) {
    if (error instanceof PatchError) return null;
    throw error;
  }
}

/** Names the steps of a project that have no name yet, each by what it changed, from the newest back. */
function nameSteps(db: Db, id: string): void {
  const of = eq(history.projectId, id);
  // All steps that are saved have a name: where the oldest has one, so have those after it.
  const step = { step: history.step };
  const oldest = db.select(step).from(history).where(of).orderBy(history.revision).limit(1).get();
  if (oldest?.step !== null) return;
  writing((tx) => {
    let now: unknown = storedDocuments(id, tx);
    const rows = tx.select().from(history).where(of).orderBy(desc(history.revision)).all();
    for (const { revision, patch, inverse, step } of rows) {
      now = takenBack(now, JSON.parse(inverse) as Patch);
      if (step !== null) continue;
      const named = JSON.stringify(stepFromPaths({ patch: JSON.parse(patch) as Patch }, now ?? {}));
      tx.update(history)
        .set({ step: named })
        .where(and(of, eq(history.revision, revision)))
        .run();
    }
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
  const problems: string[] = [];
  for (const { id, name, older } of read)
    try {
      if (older instanceof Error) throw older;
      if (older) upgrade(db, id);
      await takeInEvidence(db, id);
      nameSteps(db, id);
    } catch (error) {
      problems.push(`${name}: ${reasonOf(error)}`);
    }
  return problems;
}
