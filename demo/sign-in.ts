import { fillScreen } from '../src/core/placing/presets';
import type { Edge } from '../src/core/placing/rule';
import type { PanelLayer, Scene, TextLayer } from '../src/core/scene/scene';
import { lu } from '../src/core/values/values';
import { bars, emblem, fit, ground, inTheMiddle, margin, ownShape, shareOfWidth, smallText } from './rules';

const pad = lu(20);
const gap = { named: 'gap' } as const;
const parentSide = { region: 'parent', offset: lu(0) } as const;

/** A line of the form: from side to side of its panel. */
const formText = (
  id: string,
  name: string,
  text: string,
  style: Partial<TextLayer['style']>,
  top: Edge,
): TextLayer => ({
  kind: 'text',
  id,
  name,
  role: 'text',
  visible: true,
  parent: 'form',
  text,
  placing: {
    x: { kind: 'edges', start: parentSide, end: parentSide },
    y: { kind: 'start', edge: top, extent: { kind: 'natural' } },
  },
  style: {
    ...smallText,
    ...style,
  },
});

const form: PanelLayer = {
  kind: 'panel',
  id: 'form',
  name: 'Form',
  role: 'other',
  visible: true,
  placing: {
    x: shareOfWidth(80, 420),
    y: {
      kind: 'start',
      edge: { region: 'layer:emblem', side: 'end', offset: gap },
      extent: { kind: 'hug' },
    },
  },
  colour: { light: '#fffdf8d9', dark: '#0e1a1fd9' },
  cornerRadius: lu(14),
  padding: { left: pad, right: pad, top: pad, bottom: pad },
  clip: true,
};

export const signIn: Scene = {
  id: 'sign-in',
  name: 'Sign-in',
  role: 'screen',
  bars: { ...bars, title: { shown: true, height: 56, colour: { named: 'deep-water' }, symbols: 'light' } },
  margin,
  layers: [
    ground({ named: 'deep-water' }),
    {
      kind: 'picture',
      id: 'deck',
      name: 'Deck photo',
      role: 'background',
      visible: true,
      picture: 'deck',
      placing: fillScreen(),
      fit: fit('cover', { kind: 'focal' }),
    },
    emblem({
      x: { ...inTheMiddle, region: 'content', extent: { kind: 'length', length: lu(112) } },
      y: {
        kind: 'start',
        edge: { region: 'content', offset: lu(24) },
        extent: { kind: 'from-ratio' },
      },
      ratio: ownShape,
    }),
    form,
    formText('greeting', 'Greeting', 'Good to have you aboard', { weight: 700, size: 22 }, parentSide),
    formText(
      'note',
      'Note',
      'Sign in to see your tickets and the winter timetable. Crossings may be cancelled in strong wind.',
      {},
      { region: 'layer:greeting', side: 'end', offset: lu(8) },
    ),
  ],
};
