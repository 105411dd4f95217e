import { usedOf } from './page';
import { blockCss } from './rules';
import type { SceneSheet } from './scene';

/**
 * The CSS of one layer alone: its own rules, and of the others and of the screen what these stand on.
 * @returns nothing of a layer that is not said
 */
export function cssOfLayer(id: string, { layers, common }: SceneSheet): string {
  const own = layers.find((l) => l.layer.id === id);
  if (!own) return '';
  const css = own.blocks.map(blockCss).join('');
  const others = layers.filter((l) => l !== own).flatMap((l) => l.blocks);
  return `${usedOf([...common, ...others], css)}${css}`;
}
