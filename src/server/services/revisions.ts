import { and, desc, eq, gt } from 'drizzle-orm';
import type { Documents } from '@/core/scene/documents';
import { readDocuments } from '@/core/scene/migrate';
import { applyPatch, type Patch } from '@/core/scene/patch';
import { getDb } from '../db/client';
import { history } from '../db/schema';
import { Problem } from '../problem';
import { loadProject } from './projects';

export interface Revision {
  revision: number;
  /** when the change was made that led to it, ISO 8601 */
  at: string;
}

const MOST_LISTED = 100;

/** The latest revisions of a project that a change led to, newest first. @throws Problem 404 */
export function listRevisions(projectId: string): Revision[] {
  loadProject(projectId);
  return getDb()
    .select({ revision: history.revision, at: history.at })
    .from(history)
    .where(eq(history.projectId, projectId))
    .orderBy(desc(history.revision))
    .limit(MOST_LISTED)
    .all();
}

/** The documents as they were at a revision: every later change is taken back. @throws Problem 404 */
export function documentsAt(projectId: string, revision: number): Documents {
  const { revision: present, documents } = loadProject(projectId);
  if (!Number.isInteger(revision) || revision < 1 || revision > present)
    throw new Problem(404, `This project has no revision ${revision}; it has 1 to ${present}.`);
  const later = getDb()
    .select({ inverse: history.inverse })
    .from(history)
    .where(and(eq(history.projectId, projectId), gt(history.revision, revision)))
    .orderBy(desc(history.revision))
    .all();
  const before = later.reduce((now, { inverse }) => applyPatch(now, JSON.parse(inverse) as Patch), documents);
  return readDocuments(before);
}
