import type { Documents } from './documents';

const refersTo = (json: unknown, id: string) =>
  JSON.stringify(json).includes(`"named":${JSON.stringify(id)}`);

/** Where a named value is used, as “scene, layer”; of a scene's bars and margins as “scene”. */
export function usersOfNamed(id: string, { scenes }: Pick<Documents, 'scenes'>): string[] {
  return Object.values(scenes).flatMap((scene) => [
    ...(refersTo([scene.bars, scene.margin], id) ? [scene.name] : []),
    ...scene.layers.filter((l) => refersTo(l, id)).map((l) => `${scene.name}, ${l.name}`),
  ]);
}
