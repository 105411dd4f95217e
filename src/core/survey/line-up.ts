import type { Size } from '../geometry/rect';
import { isPlaced, type Layer } from '../scene/scene';
import { layersShown } from '../icons/versions';
import type { Screen } from '../screens/screen';
import { onSize, ruleOn } from '../scene/when';

/** The layers of a scene as they are on some screens: which of their rules hold. */
export interface LineUp {
  /** back to front */
  layers: readonly Layer[];
  /** those that are shown, in the order in which they are drawn */
  drawn: readonly Layer[];
}

const holderOf = (layer: Layer) => (isPlaced(layer) ? layer.parent : undefined);

/** A hidden panel hides what it holds. */
function isShown(layer: Layer, layers: readonly Layer[]): boolean {
  if (!layer.visible) return false;
  const holder = isPlaced(layer) && layers.find((l) => l.id === layer.parent);
  return !holder || isShown(holder, layers);
}

/** Layers in the order in which they are drawn: a panel, then what it holds. */
export function inDrawingOrder(layers: readonly Layer[]): Layer[] {
  const heldBy = (id: string | undefined): Layer[] =>
    layers.filter((l) => holderOf(l) === id).flatMap((l) => [l, ...(l.kind === 'panel' ? heldBy(l.id) : [])]);
  return heldBy(undefined);
}

/** A text in the size of text that the owner of a screen has chosen. */
function inTextSize(layer: Layer, textSize: number): Layer {
  if (layer.kind !== 'text' || textSize === 1) return layer;
  return { ...layer, style: { ...layer.style, size: layer.style.size * textSize } };
}

/** In what layers are looked at, beside a size. */
type Looked = Pick<Screen, 'textSize' | 'shows'>;

function lineUp(all: readonly Layer[], size: Size, { textSize = 1, shows = 'whole' }: Looked): LineUp {
  const layers = layersShown(all, shows).map((l) => inTextSize(isPlaced(l) ? onSize(l, size) : l, textSize));
  return { layers, drawn: inDrawingOrder(layers).filter((l) => isShown(l, layers)) };
}

/** By the rules that hold. Hundreds of screens have the same few, and the layers of a scene are never changed in place. */
const known = new WeakMap<readonly Layer[], Map<string, LineUp>>();

/**
 * @param size of the screen as it is turned, lu
 * @param looked the size of text that its owner has chosen, and what of an icon is seen in a slot
 */
export function lineUpOn(all: readonly Layer[], size: Size, looked: Looked = {}): LineUp {
  let rules = `${looked.textSize} ${looked.shows} `;
  for (const l of all) if (isPlaced(l) && l.when) rules += `${ruleOn(l.when, size)} `;
  let alike = known.get(all);
  if (!alike) known.set(all, (alike = new Map()));
  let found = alike.get(rules);
  if (!found) alike.set(rules, (found = lineUp(all, size, looked)));
  return found;
}
