import { scenesShown } from './launch';
import { shownPictures, type Documents } from './documents';
import { copiesOf } from '../scene/layers';
import type { Project } from './project';
import { nameOfCopy } from '../values/values';

/** Names of the launches that show a scene, so that it cannot simply go. */
export const launchesOf = (sceneId: string, { launches = [] }: Project): string[] =>
  launches.filter((l) => scenesShown(l).includes(sceneId)).map((l) => l.name);

/** Also of a draft that is being changed, which cannot be cloned. */
const plainCopy = <T>(of: T): T => JSON.parse(JSON.stringify(of)) as T;

/** Puts something right behind something else in a list; at its end where that is not there. */
function insertAfter<T>(list: T[], before: T, added: T): void {
  const at = list.indexOf(before);
  list.splice(at < 0 ? list.length : at + 1, 0, added);
}

/**
 * Adds a copy of a scene right behind it. It and its layers have ids of their own, and what is accepted of the scene is
 * accepted of the copy. Launches go on showing the original.
 * @param newId gives an id for the copy and for each of its layers
 * @returns the id of the copy; `null` when there is no such scene
 */
export function duplicateScene(
  { project, scenes }: Documents,
  id: string,
  newId: () => string,
): string | null {
  const original = scenes[id];
  if (!original) return null;
  const copy = newId();
  const layers = copiesOf(original.layers, newId);
  const whole = plainCopy(original);
  scenes[copy] = { ...whole, id: copy, name: nameOfCopy(original.name), layers };
  insertAfter(project.scenes, id, copy);
  const ids = new Map(original.layers.map((l, i) => [l.id, layers[i]!.id]));
  const accepted = (project.accepted ?? []).filter((a) => a.scene === id);
  for (const a of accepted)
    project.accepted!.push({ ...plainCopy(a), scene: copy, layer: ids.get(a.layer) ?? a.layer });
  return copy;
}

/** Takes a scene away, with what is accepted of it. Whoever asks has looked before for launches that show it. */
export function removeScene({ project, scenes }: Documents, id: string): void {
  delete scenes[id];
  project.scenes = project.scenes.filter((s) => s !== id);
  if (project.accepted) project.accepted = project.accepted.filter((a) => a.scene !== id);
}

/** The documents with one scene alone, and the pictures that it shows; without launches, which go through several. */
export function onlyScene({ project, scenes }: Documents, id: string): Documents {
  const { launches: _, ...rest } = project;
  const own = { project: { ...rest, scenes: [id] }, scenes: { [id]: scenes[id]! } };
  return { ...own, project: { ...own.project, pictures: shownPictures(own) } };
}
