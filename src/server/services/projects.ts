import path from 'node:path';
import { and, asc, desc, eq, isNotNull, isNull, lte } from 'drizzle-orm';
import { Project, SCHEMA_VERSION } from '@/core/project/project';
import { DEFAULT_LIMITS } from '@/core/measure/defaults';
import type { Change } from '@/core/patch/change';
import { Documents } from '@/core/project/documents';
import { readDocuments } from '@/core/project/migrate';
import type { KeptSignOff } from '@/core/review/sign-off';
import { nameOfCopy } from '@/core/values/values';
import type { BuildSource } from '@/formats/build-line';
import { productFolder, storeFolder } from '../settings';
import { UnreadableProject, whyUnreadable } from './stored';
import { getDb, writing, type Db } from '../db/client';
import { documents, history, projects, signOffs as signOffRows } from '../db/schema';
import { notFound, Problem } from '../problem';

export interface StoredProject {
  revision: number;
  documents: Documents;
}

/** Ids of the latest changes that a project holds, so that a page knows which of its own have arrived. */
export function recentChanges(id: string): string[] {
  return getDb()
    .select({ changeId: history.changeId })
    .from(history)
    .where(eq(history.projectId, id))
    .orderBy(desc(history.revision))
    .limit(200)
    .all()
    .map((r) => r.changeId);
}

export interface ProjectSummary {
  id: string;
  name: string;
  revision: number;
  updatedAt: string;
}

/** The database, or a transaction on it. */
export type Handle = Db | Parameters<Parameters<Db['transaction']>[0]>[0];

export function listProjects(db: Handle = getDb()): ProjectSummary[] {
  return db
    .select({
      id: projects.id,
      name: projects.name,
      revision: projects.revision,
      updatedAt: projects.updatedAt,
    })
    .from(projects)
    .where(isNull(projects.deletedAt))
    .orderBy(asc(projects.createdAt))
    .all();
}

/** Where a project is kept, as the lines of a build name it that are typed in the folder of the product. */
export function buildSource(id: string): BuildSource {
  const others = listProjects().filter((p) => p.id !== id);
  const inside = path.relative(productFolder(), storeFolder());
  const isInside = inside !== '' && !inside.startsWith('..') && !path.isAbsolute(inside);
  return {
    store: isInside ? `./${inside}` : storeFolder(),
    otherNames: others.flatMap((p) => [p.name, p.id]),
  };
}

/** The revision that a project is at, without reading its documents. @throws Problem 404 */
export function revisionOf(id: string, db: Handle = getDb()): number {
  const row = db
    .select({ revision: projects.revision })
    .from(projects)
    .where(and(eq(projects.id, id), isNull(projects.deletedAt)))
    .get();
  if (!row) throw notFound('This project');
  return row.revision;
}

/** Goes on only where there is such a project. @throws Problem 404 */
export const requireProject = (id: string): void => void revisionOf(id);

/** @throws Problem 404; UnreadableProject, which is a Problem 409, for documents that are damaged */
export function loadProject(id: string, db: Handle = getDb()): StoredProject {
  const revision = revisionOf(id, db);
  try {
    return { revision, documents: readDocuments(storedDocuments(id, db)) };
  } catch (error) {
    const why = whyUnreadable(error);
    throw why === null ? error : new UnreadableProject(why);
  }
}

/** The documents of a project as they are stored, of whichever version. */
export function storedDocuments(id: string, db: Handle = getDb()): { project: unknown; scenes: unknown } {
  const rows = db.select().from(documents).where(eq(documents.projectId, id)).all();
  const project: unknown = JSON.parse(rows.find((r) => r.kind === 'project')!.body);
  const scenes = Object.fromEntries(
    rows.filter((r) => r.kind === 'scene').map((r) => [r.id, JSON.parse(r.body) as unknown]),
  );
  return { project, scenes };
}

/** Replaces the document rows of a project by those that differ between two states. */
export function writeDocuments(db: Handle, id: string, before: Documents | null, after: Documents): void {
  const put = (kind: 'project' | 'scene', docId: string, body: unknown) =>
    db
      .insert(documents)
      .values({ projectId: id, kind, id: docId, body: JSON.stringify(body) })
      .onConflictDoUpdate({
        target: [documents.projectId, documents.kind, documents.id],
        set: { body: JSON.stringify(body) },
      })
      .run();
  if (before?.project !== after.project) put('project', id, after.project);
  for (const [sceneId, scene] of Object.entries(after.scenes)) {
    if (before?.scenes[sceneId] !== scene) put('scene', sceneId, scene);
  }
  for (const sceneId of Object.keys(before?.scenes ?? {})) {
    if (after.scenes[sceneId]) continue;
    const row = and(eq(documents.projectId, id), eq(documents.kind, 'scene'), eq(documents.id, sceneId));
    db.delete(documents).where(row).run();
  }
}

/** How much of the history of a project is kept: the oldest goes first. */
export const HISTORY = { changes: 2000, bytes: 32 * 1024 * 1024 } as const;

/** Appends a change to the history of a project, which is kept to its bounds. @param revision that it led to @param at when, ISO 8601 */
export function appendHistory(
  db: Handle,
  projectId: string,
  revision: number,
  change: Change,
  at: string,
): void {
  const { id: changeId, patch, inverse, step } = change;
  const steps = {
    patch: JSON.stringify(patch),
    inverse: JSON.stringify(inverse),
    step: step ? JSON.stringify(step) : null,
  };
  db.insert(history)
    .values({ projectId, revision, changeId, ...steps, at })
    .run();
  const tooOld = lte(history.revision, revision - HISTORY.changes);
  db.delete(history)
    .where(and(eq(history.projectId, projectId), tooOld))
    .run();
}

/** Writes a new project with all its documents at revision 1, in one transaction. */
export function createProject(input: Documents): StoredProject {
  const docs = readDocuments(input);
  const { id, name } = docs.project;
  const now = new Date().toISOString();
  writing((tx) => {
    tx.insert(projects).values({ id, name, revision: 1, createdAt: now, updatedAt: now }).run();
    writeDocuments(tx, id, null, docs);
  });
  return { revision: 1, documents: docs };
}

/**
 * Writes a project that was taken in from elsewhere. Where no project has its id, not even a deleted one, it is the very
 * same at the same revision, with its sign-offs and without a history; otherwise it becomes a copy, which nobody has signed off.
 * @param copy makes one under ids of its own
 */
export function takeIn(
  { documents: input, revision, signOffs }: StoredProject & { signOffs: readonly KeptSignOff[] },
  copy: (documents: Documents) => Documents,
): StoredProject {
  const now = new Date().toISOString();
  return writing((tx) => {
    const isTaken = tx.select().from(projects).where(eq(projects.id, input.project.id)).get() !== undefined;
    const docs = readDocuments(isTaken ? copy(input) : input);
    const at = isTaken ? 1 : revision;
    const { id, name } = docs.project;
    tx.insert(projects).values({ id, name, revision: at, createdAt: now, updatedAt: now }).run();
    writeDocuments(tx, id, null, docs);
    if (!isTaken)
      for (const { id: signed, text: body } of signOffs)
        tx.insert(signOffRows).values({ projectId: id, id: signed, body }).run();
    return { revision: at, documents: docs };
  });
}

/** A project without pictures and scenes, with the limits that are given at the start. */
export function createEmptyProject(name: string): StoredProject {
  const project = Project.parse({
    id: crypto.randomUUID(),
    schema: SCHEMA_VERSION,
    name,
    pictures: [],
    named: [],
    screens: [],
    limits: [...DEFAULT_LIMITS],
    scenes: [],
  });
  return createProject({ project, scenes: {} });
}

/** A copy under a new id; scenes and pictures keep theirs, which are only looked up inside their project. */
export function duplicateProject(id: string): StoredProject {
  const { documents: source } = loadProject(id);
  const name = nameOfCopy(source.project.name);
  return createProject({ ...source, project: { ...source.project, id: crypto.randomUUID(), name } });
}

function setDeleted(id: string, deletedAt: string | null): void {
  const { changes } = writing((tx) =>
    tx.update(projects).set({ deletedAt }).where(eq(projects.id, id)).run(),
  );
  if (changes === 0) throw notFound('This project');
}

export const DAY_MS = 24 * 3600 * 1000;
/** A deleted project can be brought back for so many days. */
export const DAYS_KEPT = 30;

export interface DeletedProject {
  id: string;
  name: string;
  /** after which it is swept, rounded up */
  daysLeft: number;
}

/** Projects that can still be brought back, those deleted last first. */
export function listDeleted(now = Date.now()): DeletedProject[] {
  const rows = getDb()
    .select({ id: projects.id, name: projects.name, deletedAt: projects.deletedAt })
    .from(projects)
    .where(isNotNull(projects.deletedAt))
    .orderBy(desc(projects.deletedAt))
    .all();
  return rows.map(({ id, name, deletedAt }) => {
    const days = (now - Date.parse(deletedAt!)) / DAY_MS;
    return { id, name, daysLeft: Math.max(0, Math.ceil(DAYS_KEPT - days)) };
  });
}

/** The documents of a project as they are stored, whether they can be read or not, as text. @throws Problem 404 */
export function rawDocuments(id: string): string {
  const rows = getDb().select().from(documents).where(eq(documents.projectId, id)).all();
  if (rows.length === 0) throw notFound('This project');
  return JSON.stringify(
    rows.map(({ kind, id: of, body }) => ({ kind, id: of, body })),
    null,
    2,
  );
}

/** Hides a project; it can be brought back until it is swept. */
export const deleteProject = (id: string) => setDeleted(id, new Date().toISOString());
export const restoreProject = (id: string) => setDeleted(id, null);

/** Removes a deleted project for good. @throws Problem 404; 409 for one that is not deleted */
export function removeProject(id: string): void {
  const row = getDb().select().from(projects).where(eq(projects.id, id)).get();
  if (!row) throw notFound('This project');
  if (!row.deletedAt)
    throw new Problem(409, 'Only a deleted project can be removed for good: delete it first.');
  writing((tx) => tx.delete(projects).where(eq(projects.id, id)).run());
}
