import json from '../../../data/screens.json';
import type { Fit } from '../fit/rule';
import type { Picture, Rendition } from '../pictures/picture';
import type { AxisRule, Extent, Placing, Region } from '../placing/rule';
import { Scene, type Layer, type PictureLayer } from '../scene/scene';
import { lu } from '../values/values';
import { readCatalogue } from '../screens/catalogue';
import { findCase } from '../screens/cases';
import type { SurveyInput } from '../survey/prepare';
import { halfWide } from './fonts';

/** Small scenes for tests: what a rule needs to be valid, and nothing more. */

export const SCREENS = readCatalogue(json);
/** a phone of 393 × 852 lu, and the same in landscape */
export const UPRIGHT = findCase('phone-393x852-3x-pill.0.light', SCREENS)!;
export const TURNED = findCase('phone-393x852-3x-pill.90.light', SCREENS)!;

export const pictureOf = (
  id: string,
  file: Pick<Rendition, 'widthPx' | 'heightPx' | 'density'> & Partial<Rendition>,
  more: Partial<Picture['cuts'][number]> = {},
): Picture => ({
  id,
  name: id,
  cuts: [
    {
      cut: 'any',
      focalPoint: { x: 0.5, y: 0.5 },
      keepAreas: [],
      renditions: [{ hash: 'a'.repeat(64), appearance: 'light', vector: false, ...file }],
      ...more,
    },
  ],
});

export const fitOf = (size: Fit['size'], clip = true, percent = { x: 50, y: 50 }): Fit => ({
  size,
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align: {
    kind: 'position',
    x: { percent: percent.x, offset: lu(0) },
    y: { percent: percent.y, offset: lu(0) },
  },
  clip,
  cornerRadius: lu(0),
});

/** A logo “It” of the picture “logo”, unless it is said otherwise. */
export const pictureLayer = (placing: Placing, more: Partial<PictureLayer> = {}): PictureLayer => ({
  kind: 'picture',
  id: 'it',
  name: 'It',
  role: 'logo',
  visible: true,
  picture: 'logo',
  placing,
  fit: fitOf('contain'),
  ...more,
});

export const middleOf = (extent: Extent, region: Region = 'safe'): AxisRule => ({
  kind: 'middle',
  region,
  shift: lu(0),
  extent,
});
export const edgesOf = (region: Region): AxisRule => ({
  kind: 'edges',
  start: { region, offset: lu(0) },
  end: { region, offset: lu(0) },
});

const nothing = { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) };

export function inputOf(
  layers: Layer[],
  pictures: readonly Picture[],
  more: Partial<Scene> = {},
): SurveyInput {
  const scene = Scene.parse({
    id: 's',
    name: 'Scene',
    role: 'splash',
    bars: {
      status: { shown: true },
      title: { shown: false, height: 0 },
      navigation: { shown: true, style: 'gesture' },
    },
    margin: nothing,
    layers,
    ...more,
  });
  return { scene, pictures, named: [], limits: [], fonts: halfWide };
}
