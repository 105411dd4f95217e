import { sceneWith } from '@/core/project/documents';
import { LARGEST } from '../drawing/cost';
import { drawn } from '../drawing/drawn';
import type { TaskResult } from '../drawing/tasks';
import { notFound } from '../problem';
import { loadProject } from './projects';

type Telling = TaskResult<'telling'>;

/** What was said of a scene last, and of which revision. */
const known = new Map<string, { revision: number; said: Promise<Telling> }>();
const MOST_KNOWN = 50;

/** The cases of a scene that tell most, each state of a project measured once. @throws Problem 404 for an unknown project or scene */
export function tellingOfScene(projectId: string, sceneId: string, signal?: AbortSignal): Promise<Telling> {
  const { documents, revision } = loadProject(projectId);
  const scene = sceneWith(documents, sceneId);
  if (!scene) throw notFound('This scene');
  const key = `${projectId} ${sceneId}`;
  const before = known.get(key);
  if (before?.revision === revision) return before.said;
  const said = drawn(
    { kind: 'telling', input: { documents, sceneId }, cost: LARGEST, name: `“${scene.name}”` },
    { project: projectId, signal },
  );
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, { revision, said });
  // What failed is asked for again.
  said.catch(() => known.delete(key));
  return said;
}
