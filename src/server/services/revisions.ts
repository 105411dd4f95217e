import { and, desc, eq, gt } from 'drizzle-orm';
import type { Documents } from '@/core/project/documents';
import { readDocuments } from '@/core/project/migrate';
import { sayStep, Step } from '@/core/patch/change';
import { applyPatch, type Patch } from '@/core/patch/patch';
import { getDb } from '../db/client';
import { history } from '../db/schema';
import { Problem } from '../problem';
import { loadProject, requireProject, type Handle, type StoredProject } from './projects';

export interface Revision {
  revision: number;
  /** when the change was made that led to it, ISO 8601 */
  at: string;
  /** what that change is called, such as “move Emblem forward” */
  step: string;
}

const MOST_LISTED = 100;
/** Of a step whose name is not known, as its documents cannot be read. */
const UNNAMED = 'change the project';

/** The latest revisions of a project that a change led to, newest first. @throws Problem 404 */
export function listRevisions(projectId: string): Revision[] {
  requireProject(projectId);
  const rows = getDb()
    .select({ revision: history.revision, at: history.at, step: history.step })
    .from(history)
    .where(eq(history.projectId, projectId))
    .orderBy(desc(history.revision))
    .limit(MOST_LISTED)
    .all();
  return rows.map(({ step, ...row }) => ({
    ...row,
    step: step === null ? UNNAMED : sayStep(Step.parse(JSON.parse(step))),
  }));
}

/** The documents as they were at a revision: every later change is taken back. @throws Problem 404 */
export const documentsAt = (projectId: string, revision: number): Documents =>
  takenBackTo(projectId, revision, loadProject(projectId), getDb());

/** A project that is loaded, as it was at a revision. @throws Problem 404 where that is none, or no longer kept */
export function takenBackTo(
  projectId: string,
  revision: number,
  { revision: present, documents }: StoredProject,
  db: Handle,
): Documents {
  if (!Number.isInteger(revision) || revision < 1 || revision > present)
    throw new Problem(404, `This project has no revision ${revision}; it has 1 to ${present}.`);
  const later = db
    .select({ inverse: history.inverse })
    .from(history)
    .where(and(eq(history.projectId, projectId), gt(history.revision, revision)))
    .orderBy(desc(history.revision))
    .all();
  if (later.length < present - revision)
    throw new Problem(
      404,
      `Revision ${revision} is no longer kept: the last ${later.length} changes of this project are.`,
    );
  const before = later.reduce((now, { inverse }) => applyPatch(now, JSON.parse(inverse) as Patch), documents);
  return readDocuments(before);
}
