import type { Documents } from './documents';

const refersTo = (json: unknown, id: string) =>
  JSON.stringify(json).includes(`"named":${JSON.stringify(id)}`);

/** Where a named value is used, as “scene, layer”; of a scene's bars and margins as “scene”; of another named value that stands for it, its name. */
export function usersOfNamed(id: string, { scenes, project }: Documents): string[] {
  const standing = project.named.filter((n) => 'named' in n.value && n.value.named === id);
  return [
    ...standing.map((n) => n.name),
    ...Object.values(scenes).flatMap((scene) => [
      ...(refersTo([scene.bars, scene.margin], id) ? [scene.name] : []),
      ...scene.layers.filter((l) => refersTo(l, id)).map((l) => `${scene.name}, ${l.name}`),
    ]),
  ];
}
