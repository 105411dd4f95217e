import type { Documents } from './documents';
import { nameOfCopy } from '../values/values';

/** Keys whose values are ids of things of a project, or name one. */
const NAMING = new Set(['id', 'parent', 'picture', 'named', 'scene', 'layer', 'stage', 'about', 'target']);

/** Every id that a project gives to something of its own: screens keep theirs, as findings of other projects name them. */
function ownIds({ project, scenes }: Documents): string[] {
  const launches = project.launches ?? [];
  return [
    ...project.scenes,
    ...Object.values(scenes).flatMap((s) => s.layers.map((l) => l.id)),
    ...project.pictures.map((p) => p.id),
    ...project.named.map((n) => n.id),
    ...launches.flatMap((l) => [l.id, ...l.stages.map((s) => s.id), ...l.targets.map((t) => t.id)]),
  ];
}

/** A text that names something by its id, alone or behind what it is, such as `layer:logo`. */
function renamed(text: string, ids: ReadonlyMap<string, string>): string {
  const own = ids.get(text);
  if (own !== undefined) return own;
  const [kind, ...rest] = text.split(':');
  const id = rest.length > 0 ? ids.get(rest.join(':')) : undefined;
  return id === undefined ? text : `${kind}:${id}`;
}

const LEANING = new Set(['region', 'of']);

/**
 * A copy of a project under ids that nothing else has, so that it can lie beside the one that it was taken from.
 * @param newId gives an id for the copy and for each thing in it
 */
export function copiedProject(documents: Documents, newId: () => string): Documents {
  const ids = new Map(ownIds(documents).map((id) => [id, newId()]));
  const walk = (value: unknown, key: string): unknown => {
    if (typeof value === 'string') return NAMING.has(key) || LEANING.has(key) ? renamed(value, ids) : value;
    if (Array.isArray(value)) return value.map((v) => walk(v, key === 'scenes' ? 'scene' : key));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, walk(v, k)]));
  };
  const project = walk({ ...documents.project, tokens: undefined }, '') as Documents['project'];
  const scenes = Object.entries(documents.scenes).map(
    ([id, scene]) => [ids.get(id)!, walk(scene, '')] as const,
  );
  return {
    project: {
      ...project,
      ...(documents.project.tokens && { tokens: documents.project.tokens }),
      id: newId(),
      name: nameOfCopy(documents.project.name),
    },
    scenes: Object.fromEntries(scenes) as Documents['scenes'],
  };
}
