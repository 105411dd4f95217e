import { and, asc, eq, isNull } from 'drizzle-orm';
import { Documents } from '@/core/scene/documents';
import { getDb } from '../db/client';
import { documents, projects } from '../db/schema';
import { notFound } from '../problem';

export interface StoredProject {
  revision: number;
  documents: Documents;
}

export interface ProjectSummary {
  id: string;
  name: string;
  revision: number;
  updatedAt: string;
}

export function listProjects(): ProjectSummary[] {
  return getDb()
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

/** @throws Problem 404 */
export function loadProject(id: string): StoredProject {
  const db = getDb();
  const row = db
    .select()
    .from(projects)
    .where(and(eq(projects.id, id), isNull(projects.deletedAt)))
    .get();
  if (!row) throw notFound('This project');
  const rows = db.select().from(documents).where(eq(documents.projectId, id)).all();
  const project: unknown = JSON.parse(rows.find((r) => r.kind === 'project')!.body);
  const scenes = Object.fromEntries(
    rows.filter((r) => r.kind === 'scene').map((r) => [r.id, JSON.parse(r.body) as unknown]),
  );
  return { revision: row.revision, documents: Documents.parse({ project, scenes }) };
}

/** Writes a new project with all its documents at revision 1, in one transaction. */
export function createProject(input: Documents): StoredProject {
  const docs = Documents.parse(input);
  const { project, scenes } = docs;
  const now = new Date().toISOString();
  getDb().transaction((tx) => {
    tx.insert(projects)
      .values({ id: project.id, name: project.name, revision: 1, createdAt: now, updatedAt: now })
      .run();
    const rows = [
      { projectId: project.id, kind: 'project' as const, id: project.id, body: JSON.stringify(project) },
      ...Object.values(scenes).map((scene) => ({
        projectId: project.id,
        kind: 'scene' as const,
        id: scene.id,
        body: JSON.stringify(scene),
      })),
    ];
    tx.insert(documents).values(rows).run();
  });
  return { revision: 1, documents: docs };
}
