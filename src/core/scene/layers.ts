import { isPlaced, type Layer, type Scene } from './scene';
import { isHugging } from '../placing/rule';
import { nameOfCopy } from '../values/values';

/** Whether a rule of a layer is measured from another layer, as a region or as what a share is of. */
export const leansOn = (layer: Layer, id: string) =>
  isPlaced(layer) &&
  JSON.stringify([layer.placing, layer.when?.map((w) => w.placing)]).includes(JSON.stringify(`layer:${id}`));

const parentOf = (layer: Layer) => (isPlaced(layer) ? layer.parent : undefined);

/** A layer and everything that it holds, in the order of the list. */
function family(scene: Scene, id: string): Layer[] {
  const inside = (layer: Layer): boolean => {
    const parent = parentOf(layer);
    if (layer.id === id || parent === id) return true;
    const holder = scene.layers.find((l) => l.id === parent);
    return holder !== undefined && inside(holder);
  };
  return scene.layers.filter(inside);
}

/** Names of the layers that are measured from a layer, or from one that it holds, so that it cannot simply go. */
export function leaningLayers(scene: Scene, id: string): string[] {
  const gone = family(scene, id);
  const stays = (l: Layer) => !gone.includes(l);
  return scene.layers.filter((l) => stays(l) && gone.some((g) => leansOn(l, g.id))).map((l) => l.name);
}

/** Takes a layer away, with what it holds. Whoever asks has looked for leaning layers before. */
export function removeLayer(scene: Scene, id: string): void {
  const gone = new Set(family(scene, id).map((l) => l.id));
  scene.layers = scene.layers.filter((l) => !gone.has(l.id));
}

/** Panels that can hold a layer: not itself, and nothing inside it. */
export function possibleHolders(scene: Scene, id: string): Layer[] {
  const own = new Set(family(scene, id).map((l) => l.id));
  return scene.layers.filter((l) => l.kind === 'panel' && !own.has(l.id));
}

/**
 * Copies of layers under ids of their own. References among them go to the copies; where an original is measured from
 * any other layer, so is its copy.
 * @param newId gives an id for each copy
 * @returns in the same order
 */
export function copiesOf(originals: readonly Layer[], newId: () => string): Layer[] {
  let text = JSON.stringify(originals);
  for (const { id: old } of originals) {
    const copy = newId();
    text = text
      .replaceAll(JSON.stringify(`layer:${old}`), JSON.stringify(`layer:${copy}`))
      .replaceAll(`"id":${JSON.stringify(old)}`, `"id":${JSON.stringify(copy)}`)
      .replaceAll(`"parent":${JSON.stringify(old)}`, `"parent":${JSON.stringify(copy)}`);
  }
  return JSON.parse(text) as Layer[];
}

/** A copy of a layer and of what it holds, right above it. */
export function duplicateLayer(scene: Scene, id: string, newId: () => string): void {
  const originals = family(scene, id);
  if (originals.length === 0) return;
  const copies = copiesOf(originals, newId);
  const first = copies[originals.findIndex((l) => l.id === id)]!;
  first.name = nameOfCopy(first.name);
  const last = scene.layers.findLastIndex((l) => originals.some((o) => o.id === l.id));
  scene.layers.splice(last + 1, 0, ...copies);
}

/**
 * Moves a layer by a number of places among those that have the same holder, negative towards the back; as far as
 * there are places.
 */
export function moveLayer(scene: Scene, id: string, by: number): void {
  const layer = scene.layers.find((l) => l.id === id);
  if (!layer) return;
  const beside = scene.layers.filter((l) => parentOf(l) === parentOf(layer));
  const target = beside[Math.max(0, Math.min(beside.length - 1, beside.indexOf(layer) + by))]!;
  const to = scene.layers.indexOf(target);
  scene.layers.splice(scene.layers.indexOf(layer), 1);
  scene.layers.splice(to, 0, layer);
}

const huggingPanels = ({ layers }: Pick<Scene, 'layers'>) =>
  layers.filter((l) => l.kind === 'panel' && (isHugging(l.placing.x) || isHugging(l.placing.y)));

/** Panels that go around what they hold, and hold nothing yet: there is nothing of them to be judged. */
export const emptyPanels = (scene: Pick<Scene, 'layers'>): ReadonlySet<string> =>
  new Set(
    huggingPanels(scene)
      .filter((p) => !scene.layers.some((l) => parentOf(l) === p.id))
      .map((l) => l.id),
  );

/** Whether a panel goes around what it holds, and nothing of that is shown. */
export const hugsNothing = (scene: Pick<Scene, 'layers'>, id: string): boolean =>
  huggingPanels(scene).some((p) => p.id === id) && !scene.layers.some((l) => parentOf(l) === id && l.visible);

/** Whether a scene shows anything that can be right or wrong on a screen; a ground alone fits everywhere. */
export const hasToJudge = ({ layers }: Scene): boolean => layers.some((l) => isPlaced(l) && l.visible);
