import { z } from 'zod';
import { scenesShown } from './launch';
import type { Picture } from '../pictures/picture';
import { fontHash } from '../text/style';
import { Project } from './project';
import { filesOfProof } from './proof';
import { Scene } from '../scene/scene';

/** All documents of a project under its one revision. The keys of `scenes` are the ids in `project.scenes`. */
export const Documents = z
  .strictObject({ project: Project, scenes: z.record(z.string(), Scene) })
  .superRefine((documents, ctx) => {
    for (const message of unfitting(documents)) ctx.addIssue({ code: 'custom', message });
  });
export type Documents = z.infer<typeof Documents>;

/** What of the documents of a project does not fit together, though each may be right by itself. */
const unfitting = ({ project, scenes }: { project: Project; scenes: Record<string, Scene> }): string[] => [
  ...sceneList(project, scenes),
  ...missingPictures(project, scenes),
  ...launchedScenes(project, scenes),
  ...missingFonts(project, scenes),
];

/** As many of the documents as may have changed: of each no more than its own schema is asked. */
const Changed = z.strictObject({ project: Project.optional(), scenes: z.record(z.string(), Scene) });

/**
 * Documents that were made of others, which are right: only those are read that are not the very same objects. It says the same as
 * reading all of them, in the time that the change takes.
 * @param before documents that were read @param json what became of them
 * @throws ZodError
 */
export function readChanged(
  before: Documents,
  json: { project: unknown; scenes: Record<string, unknown> },
): Documents {
  const isSame = (id: string) => Object.hasOwn(before.scenes, id) && before.scenes[id] === json.scenes[id];
  const changed = Changed.parse({
    ...(json.project !== before.project && { project: json.project }),
    scenes: Object.fromEntries(Object.entries(json.scenes).filter(([id]) => !isSame(id))),
  });
  const documents = {
    project: changed.project ?? before.project,
    scenes: Object.fromEntries(
      Object.keys(json.scenes).map((id) => [id, isSame(id) ? before.scenes[id]! : changed.scenes[id]!]),
    ),
  };
  const problems = unfitting(documents);
  if (problems.length > 0)
    throw new z.ZodError(
      problems.map((message) => ({ code: 'custom', message, path: [], input: undefined })),
    );
  return documents;
}

/** A scene by its id; `undefined` where there is none, also under a name that every object has. */
export const sceneWith = ({ scenes }: Pick<Documents, 'scenes'>, id: string): Scene | undefined =>
  Object.hasOwn(scenes, id) ? scenes[id] : undefined;

/** The scenes in the order of the project’s list. */
export const scenesInOrder = ({ project, scenes }: Documents): Scene[] =>
  project.scenes.map((id) => scenes[id]!);

function sceneList(project: Project, scenes: Record<string, Scene>): string[] {
  const listed = new Set(project.scenes);
  return [
    ...project.scenes
      .filter((id) => !Object.hasOwn(scenes, id))
      .map((id) => `The project lists the scene “${id}”, which is not there.`),
    ...Object.entries(scenes)
      .filter(([id, scene]) => !listed.has(id) || scene.id !== id)
      .map(([, scene]) => `The scene “${scene.name}” is not in the project’s list of scenes.`),
  ];
}

/** Where a picture is used, as “scene, layer”. */
export function usersOfPicture(id: string, scenes: Record<string, Scene>): string[] {
  return Object.values(scenes).flatMap((scene) =>
    scene.layers
      .filter((l) => l.kind === 'picture' && l.picture === id)
      .map((l) => `${scene.name}, ${l.name}`),
  );
}

/** The hashes of the imported fonts that a scene writes with. */
export const fontsOfScene = ({ layers }: Scene): string[] => [
  ...new Set(layers.flatMap((l) => (l.kind === 'text' ? (fontHash(l.style.font) ?? []) : []))),
];

/** Where an imported font is used, as “scene, layer”. */
export const usersOfFont = (hash: string, scenes: Record<string, Scene>): string[] =>
  Object.values(scenes).flatMap((scene) =>
    scene.layers
      .filter((l) => l.kind === 'text' && fontHash(l.style.font) === hash)
      .map((l) => `${scene.name}, ${l.name}`),
  );

function missingFonts({ fonts = [] }: Project, scenes: Record<string, Scene>): string[] {
  const used = new Set(Object.values(scenes).flatMap(fontsOfScene));
  return [...used]
    .filter((hash) => !fonts.some((f) => f.hash === hash))
    .map((hash) => `A font that is still used cannot go: ${usersOfFont(hash, scenes).join('; ')}.`);
}

/** The hashes of all files that a scene may take, in any cut and appearance. */
export function filesOfScene({ layers }: Scene, pictures: readonly Picture[]): string[] {
  const used = new Set(layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : [])));
  return filesOf(pictures.filter((p) => used.has(p.id)));
}

/** The pictures that any scene shows, in the order of the project’s list. */
export function shownPictures(documents: Documents): Picture[] {
  const layers = scenesInOrder(documents).flatMap((s) => s.layers);
  const shown = new Set(layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : [])));
  return documents.project.pictures.filter((p) => shown.has(p.id));
}

/** The hashes of all files of pictures, each once. */
export const filesOf = (pictures: readonly Picture[]): string[] => [
  ...new Set(pictures.flatMap((p) => p.cuts.flatMap((c) => c.renditions.map((r) => r.hash)))),
];

/** The same of a project with its proof, each once: everything that is kept for it but its fonts. */
export const filesOfProject = (project: Pick<Project, 'pictures' | 'evidence'>): string[] => [
  ...new Set([...filesOf(project.pictures), ...filesOfProof(project)]),
];

/** Stages and targets that show a scene which is not there. */
function launchedScenes({ launches = [] }: Project, scenes: Record<string, Scene>): string[] {
  return launches.flatMap((launch) =>
    scenesShown(launch)
      .filter((id) => !Object.hasOwn(scenes, id))
      .map((id) => `A scene that the launch “${launch.name}” shows cannot go: “${id}”.`),
  );
}

function missingPictures(project: Project, scenes: Record<string, Scene>): string[] {
  const known = new Set(project.pictures.map((p) => p.id));
  const used = new Set(
    Object.values(scenes).flatMap((s) => s.layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : []))),
  );
  return [...used]
    .filter((id) => !known.has(id))
    .map((id) => `A picture that is still used cannot go: ${usersOfPicture(id, scenes).join('; ')}.`);
}

/** What two things of one list are called alike by, so that one of them could not be found; `null` where each has its own id. */
export function idTwice({ project, scenes }: Documents): string | null {
  const { pictures, named, launches = [] } = project;
  const lists: [string, readonly string[]][] = [
    ['scenes', project.scenes],
    ['pictures', pictures.map((p) => p.id)],
    ['named values', named.map((n) => n.id)],
    ['launches', launches.map((l) => l.id)],
    ...launches.map((l): [string, string[]] => ['stages', l.stages.map((s) => s.id)]),
    ...Object.values(scenes).map((s): [string, string[]] => ['layers', s.layers.map((l) => l.id)]),
  ];
  for (const [what, ids] of lists) {
    const twice = ids.find((id, i) => ids.indexOf(id) !== i);
    if (twice !== undefined) return `“${twice}” names two ${what}.`;
  }
  return null;
}
