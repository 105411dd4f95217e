import type { Fit } from '../src/core/fit/rule';
import type { AxisRule, Placing } from '../src/core/placing/rule';
import type { Layer } from '../src/core/scene/scene';
import type { Bars, Margin } from '../src/core/screens/bar-rules';
import { lu, percent, type Colour } from '../src/core/values/values';
import type { TextStyle } from '../src/core/text/style';

/** What the scenes of the demo have in common. */

export const bars: Bars = {
  status: { shown: true },
  title: { shown: false, height: 56 },
  navigation: { shown: true, style: 'gesture' },
};
export const margin: Margin = { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) };

export const held = (x: number, y: number): Fit['align'] => ({
  kind: 'position',
  x: { percent: x, offset: lu(0) },
  y: { percent: y, offset: lu(0) },
});

export const fit = (size: Fit['size'], align: Fit['align'] = held(50, 50)): Fit => ({
  size,
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align,
  clip: true,
  cornerRadius: lu(0),
});

export const ground = (colour: Colour): Layer => ({
  kind: 'ground',
  id: 'ground',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour,
});

export const ownShape = { value: 'own', strict: true } as const;

export const emblem = (placing: Placing, picture = 'emblem'): Layer => ({
  kind: 'picture',
  id: 'emblem',
  name: 'Emblem',
  role: 'logo',
  visible: true,
  picture,
  placing,
  fit: fit('contain'),
});

/** The name under the emblem, in its own shape. */
export const wordmark = (x: AxisRule): Layer => ({
  kind: 'picture',
  id: 'wordmark',
  name: 'Wordmark',
  role: 'logo',
  visible: true,
  picture: 'wordmark',
  placing: {
    x,
    y: {
      kind: 'start',
      edge: { region: 'layer:emblem', side: 'end', offset: lu(12) },
      extent: { kind: 'from-ratio' },
    },
    ratio: ownShape,
  },
  fit: fit('contain'),
});

/** A share of the safe area's width, held to a largest width, in the middle across. */
export const shareOfWidth = (share: number, most: number): AxisRule => ({
  kind: 'middle',
  region: 'safe',
  shift: lu(0),
  extent: { kind: 'length', length: percent(share), of: 'safe', max: { length: lu(most) } },
});

/** Small text on a light panel, as in a form. */
export const smallText: TextStyle = {
  font: 'sans',
  weight: 400,
  size: 15,
  lineHeight: 1.35,
  colour: { light: '#12303b', dark: '#ece6da' },
  align: { x: 'start', y: 'start' },
};

export const inTheMiddle: Extract<AxisRule, { kind: 'middle' }> = {
  kind: 'middle',
  region: 'screen',
  shift: lu(0),
  extent: { kind: 'natural' },
};
