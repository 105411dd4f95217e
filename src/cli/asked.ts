import { statSync } from 'node:fs';
import { closest } from 'fastest-levenshtein';
import { scenesInOrder } from '@/core/project/documents';
import { onlyScene } from '@/core/project/scenes';
import type { Scene } from '@/core/scene/scene';
import { findCase, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { screenTargets, type ScreenTarget } from '@/formats/sheet/targets';
import { openArchived } from './archive';
import { openFolder } from './folder';
import { Refusal, type Opened } from './opened';
import { openStored } from './store';

/** Which project a command is about, and how much of it. */
export interface ProjectAsked {
  /** a folder or an archive of a project; of a store when absent */
  folder?: string;
  store?: string;
  project?: string;
  /** a scene, by its name or its id */
  scene?: string;
  /** a set of screens, by its name or its id */
  target?: string;
}

/** Whether something is a file, such as an archive. */
export const isFile = (place: string): boolean =>
  statSync(place, { throwIfNoEntry: false })?.isFile() ?? false;

/** @throws Refusal where neither a folder nor a store is named, or both; Problem for an archive that cannot be read */
export async function open({ folder, store, project }: ProjectAsked): Promise<Opened> {
  if (folder !== undefined && store === undefined)
    return isFile(folder) ? openArchived(folder) : openFolder(folder);
  if (folder === undefined && store !== undefined) return openStored(store, project);
  throw new Refusal(
    'Name a folder or an archive that coulee export has written, or a store: --store DIR --project NAME.',
  );
}

/**
 * What is called by a name or an id.
 * @param what such as “scene” @throws Refusal with the nearest name, and all of them
 */
function named<T extends { id: string; name: string }>(list: readonly T[], wanted: string, what: string): T {
  const isWanted = (text: string) => text.toLowerCase() === wanted.toLowerCase();
  const found = list.find((t) => isWanted(t.id)) ?? list.find((t) => isWanted(t.name));
  if (found) return found;
  const all = list.map((t) => `“${t.name}” (${t.id})`).join(', ') || 'none';
  const names = list.flatMap((t) => [t.id, t.name]);
  const near = names.length > 0 ? ` Did you mean “${closest(wanted, names)}”?` : '';
  throw new Refusal(`There is no ${what} “${wanted}” in this project.${near} It has ${all}.`);
}

/** @throws Refusal where there is no such scene, or none is named of several */
export function sceneOf({ documents }: Opened, wanted: string | undefined): Scene {
  const scenes = scenesInOrder(documents);
  if (wanted !== undefined) return named(scenes, wanted, 'scene');
  if (scenes.length === 1) return scenes[0]!;
  const all = scenes.map((s) => `“${s.name}” (${s.id})`).join(', ') || 'none';
  throw new Refusal(`Say which scene is meant: --scene NAME. This project has ${all}.`);
}

/** @throws Refusal where there is no such set of screens */
export const targetOf = ({ documents, screens }: Opened, wanted = 'all'): ScreenTarget =>
  named(screenTargets(documents.project, screens), wanted, 'set of screens');

/** @throws Refusal for a case that is not there */
export function casesNamed(ids: readonly string[], screens: readonly Screen[]): Case[] {
  return ids.map((id) => {
    const found = findCase(id, screens);
    if (!found) throw new Refusal(`There is no case “${id}”. One is such as ${screens[0]!.id}.0.light.`);
    return found;
  });
}

/** A project with nothing in it but what is asked for. @throws Refusal */
export function narrowed(opened: Opened, { scene, target }: ProjectAsked): Opened {
  const { screens } = targetOf(opened, target);
  const documents =
    scene === undefined ? opened.documents : onlyScene(opened.documents, sceneOf(opened, scene).id);
  return { ...opened, documents, screens };
}
