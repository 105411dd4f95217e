import type { Layer, PanelLayer, Scene } from '../scene/scene';
import type { IconVersion } from '../screens/screen';

const WHITE = { light: '#ffffff' } as const;
const NOTHING = { light: '#00000000' } as const;

/** A panel that something is laid into stays as its place; what it looks like goes. */
const unseen = (panel: PanelLayer): PanelLayer => ({ ...panel, colour: NOTHING });

/** What stands on the ground and on plates. */
const glyphOf = (layers: readonly Layer[]): Layer[] =>
  layers.flatMap((l) => (l.kind === 'ground' ? [] : [l.kind === 'panel' ? unseen(l) : l]));

const plateOf = (layers: readonly Layer[]): Layer[] =>
  layers.map((l) => (l.kind === 'ground' || l.kind === 'panel' ? l : { ...l, visible: false }));

/** In one colour, white: systems that lay a colour over an icon only read how opaque it is. */
const inOneColour = (layer: Layer): Layer => {
  if (layer.kind === 'picture') return { ...layer, tint: WHITE };
  return layer.kind === 'text' ? { ...layer, style: { ...layer.style, colour: WHITE } } : layer;
};

/** Layers as one of the files of an icon shows them. What is not shown keeps its place, as other layers may lean on it. */
export function layersShown(layers: readonly Layer[], version: IconVersion): readonly Layer[] {
  switch (version) {
    case 'whole':
      return layers;
    case 'plate':
      return plateOf(layers);
    case 'glyph':
      return glyphOf(layers);
    case 'one-colour':
      return glyphOf(layers).map(inOneColour);
  }
}

/** The same of a scene. */
export const versionOf = (scene: Scene, version: IconVersion): Scene =>
  version === 'whole' ? scene : { ...scene, layers: [...layersShown(scene.layers, version)] };
