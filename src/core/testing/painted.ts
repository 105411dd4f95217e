import fc from 'fast-check';
import { fillScreen } from '../placing/presets';
import { filePixelsOf } from '../pixels/file';
import type { Raster } from '../pixels/raster';
import type { Layer, PanelLayer, TextLayer } from '../scene/scene';
import { lu, percent } from '../values/values';
import { edgesOf, fitOf, inputOf, middleOf, pictureLayer, pictureOf } from './scenes';

/** A photo on a ground, a veil over it, and a text: what contrast is told of. */

const HASH = 'b'.repeat(64);
const photo = pictureOf('photo', { widthPx: 12, heightPx: 9, density: 0.02, hash: HASH });

export const raster: fc.Arbitrary<Raster> = fc
  .uint8Array({ minLength: 12 * 9 * 4, maxLength: 12 * 9 * 4 })
  .map((data) => ({ width: 12, height: 9, data }));

export const ground: Layer = {
  kind: 'ground',
  id: 'ground',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour: { light: '#224466' },
};
export const background = (size: 'cover' | 'contain', opacity: number) =>
  pictureLayer(fillScreen(), {
    id: 'photo',
    picture: 'photo',
    role: 'background',
    opacity,
    fit: fitOf(size, true, { x: 30, y: 70 }),
  });
const nothing = { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) };
export const veil: PanelLayer = {
  kind: 'panel',
  id: 'veil',
  name: 'Veil',
  role: 'other',
  visible: true,
  placing: { x: edgesOf('screen'), y: edgesOf('safe') },
  colour: { light: '#00000066' },
  cornerRadius: lu(0),
  padding: nothing,
  clip: false,
};
export const label: TextLayer = {
  kind: 'text',
  id: 'it',
  name: 'It',
  role: 'text',
  visible: true,
  placing: {
    x: middleOf({ kind: 'length', length: percent(70) }, 'screen'),
    y: middleOf({ kind: 'length', length: percent(30) }, 'screen'),
  },
  text: 'Boats leave at noon and again at six, every day of the week but one',
  style: {
    font: 'sans',
    weight: 400,
    size: 28,
    lineHeight: 1.3,
    colour: { light: '#fffffff0' },
    align: { x: 'middle', y: 'start' },
  },
};

export const withPixels = (image: Raster, layers: Layer[]) => ({
  ...inputOf(layers, [photo]),
  pixels: new Map([[HASH, filePixelsOf(image)]]),
});
