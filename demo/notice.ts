import type { Edge, Placing } from '../src/core/placing/rule';
import type { Layer, Scene } from '../src/core/scene/scene';
import { lu, percent } from '../src/core/values/values';
import { bars, emblem, fit, ground, inTheMiddle, margin, ownShape, smallText } from './rules';

/** A notice as somebody first puts it together: what usually goes wrong, one thing after another. */

const fromEdge = (region: Edge['region'], offset = 0): Edge => ({ region, offset: lu(offset) });
const below = (id: string): Edge => ({ region: `layer:${id}`, side: 'end', offset: lu(16) });
const pad = lu(12);

const picture = (
  id: string,
  name: string,
  of: string,
  placing: Placing,
  more: Partial<Extract<Layer, { kind: 'picture' }>> = {},
): Layer => ({
  kind: 'picture',
  id,
  name,
  role: 'logo',
  visible: true,
  picture: of,
  placing,
  fit: fit('contain'),
  ...more,
});

export const notice: Scene = {
  id: 'notice',
  name: 'Notice, first draft',
  role: 'screen',
  bars,
  margin,
  layers: [
    ground({ light: '#efe6d2' }),
    // A small texture enlarged to mud.
    picture(
      'rope',
      'Rope',
      'rope',
      {
        x: { kind: 'edges', start: fromEdge('screen'), end: fromEdge('screen') },
        y: { kind: 'edges', start: fromEdge('screen'), end: fromEdge('screen') },
      },
      { role: 'background', fit: fit('cover') },
    ),
    // Stops short of the edge, only when turned.
    picture(
      'deck',
      'Deck photo',
      'deck-large',
      {
        x: { kind: 'edges', start: fromEdge('safe'), end: fromEdge('safe') },
        y: { kind: 'edges', start: fromEdge('screen'), end: fromEdge('screen') },
      },
      { role: 'background', fit: fit('cover') },
    ),
    // Pinned to an edge of the screen, under the camera and the rounded corner.
    {
      ...emblem({
        x: { kind: 'start', edge: fromEdge('screen'), extent: { kind: 'length', length: lu(56) } },
        y: { kind: 'start', edge: fromEdge('screen'), extent: { kind: 'from-ratio' } },
        ratio: ownShape,
      }),
    },
    // Squashed: both axes are filled without keeping the shape.
    picture(
      'wordmark',
      'Wordmark',
      'wordmark',
      {
        x: { ...inTheMiddle, region: 'safe', extent: { kind: 'length', length: percent(50), of: 'safe' } },
        y: { kind: 'start', edge: below('emblem'), extent: { kind: 'length', length: lu(28) } },
      },
      { fit: fit('stretch') },
    ),
    // White on whatever lies under it.
    {
      kind: 'text',
      id: 'news',
      name: 'News',
      role: 'text',
      visible: true,
      text: 'No sailings in strong wind',
      placing: {
        x: {
          ...inTheMiddle,
          region: 'safe',
          extent: { kind: 'natural', max: { length: percent(90), of: 'safe' } },
        },
        y: { kind: 'start', edge: below('wordmark'), extent: { kind: 'natural' } },
      },
      style: {
        font: 'sans',
        weight: 700,
        size: 18,
        lineHeight: 1.3,
        colour: { light: '#ffffff' },
        align: { x: 'middle', y: 'start' },
      },
    },
    // Hugs its content, of which all is hidden.
    {
      kind: 'panel',
      id: 'advice',
      name: 'Advice',
      role: 'other',
      visible: true,
      placing: {
        x: { ...inTheMiddle, region: 'safe', extent: { kind: 'hug' } },
        y: { kind: 'start', edge: below('news'), extent: { kind: 'hug' } },
      },
      colour: { light: '#fffdf8d9', dark: '#0e1a1fd9' },
      cornerRadius: lu(10),
      padding: { left: pad, right: pad, top: pad, bottom: pad },
      clip: true,
    },
    {
      kind: 'text',
      id: 'advice-text',
      name: 'Advice, words',
      role: 'text',
      visible: false,
      parent: 'advice',
      text: 'Take the early ferry',
      placing: {
        x: { kind: 'start', edge: fromEdge('parent', 0), extent: { kind: 'natural' } },
        y: { kind: 'start', edge: fromEdge('parent', 0), extent: { kind: 'natural' } },
      },
      style: smallText,
    },
    // Shows at full size although its box is small: it was never told to resize.
    picture(
      'seal',
      'Seal',
      'emblem',
      {
        x: { kind: 'end', edge: fromEdge('safe', 16), extent: { kind: 'length', length: lu(48) } },
        y: { kind: 'end', edge: fromEdge('safe', 16), extent: { kind: 'length', length: lu(48) } },
      },
      { fit: { ...fit('natural'), clip: false } },
    ),
  ],
};
