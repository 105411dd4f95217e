import type { PictureLayer, PlacedLayer } from '@/core/scene/scene';
import type { Lengths } from './lengths';
import type { Colours } from './paint';
import type { PlacingCss } from './placing';
import type { NaturalCss } from './sizes';

/** What the layers of one cell are written with. */
export interface LayerAround {
  /** by the rules that hold */
  layers: readonly PlacedLayer[];
  placing: PlacingCss;
  lengths: Lengths;
  colours: Colours;
  /** the class of each layer, by id */
  names: ReadonlyMap<string, string>;
  natural: (layer: PlacedLayer) => NaturalCss | null;
  focalPoint: (layer: PictureLayer) => { x: number; y: number };
  /** panels that hold something */
  holders: ReadonlySet<string>;
  mirrored: boolean;
  /** whether lines of a text may be broken on any of the screens */
  breaks: (id: string) => boolean;
}

/** How a layer is built of elements. */
export type Form =
  /** an `img` that fits itself */
  | 'image'
  /** a box with the drawn picture as a block in it */
  | 'block'
  | 'plain';

/** How a layer comes to its place. */
export type Way =
  /** by its sides */
  | 'direct'
  /** at a point, from which it grows as its lines do */
  | 'point'
  /** below another one in the flow of its panel */
  | 'flow';

export const AXES = ['x', 'y'] as const;
