import { readFileSync } from 'node:fs';
import path from 'node:path';
import { demoDocuments } from '../../../demo/documents';
import {
  fillScreen,
  middleOfSafeArea,
  panelInTheMiddle,
  stripAtBottom,
  underLayer,
} from '../placing/presets';
import type { AxisRule, Edge, Extent, Placing, Region } from '../placing/rule';
import type { Fit } from '../fit/rule';
import type { Layer, PanelLayer, PictureLayer, TextLayer } from '../scene/scene';
import type { When } from '../scene/when';
import { lu, percent, type Length } from '../values/values';
import { layerSentence, whenSentence } from './layer';
import { sentenceText } from './parts';

/** One sentence for every kind of rule, as people read it: `golden.txt` beside this file. */

const { project, scenes } = demoDocuments(() => []);
const names = {
  layers: [...scenes['winter-splash']!.layers, ...scenes['sign-in']!.layers],
  named: project.named,
};

const edge = (region: Region, value: Length | number = 0, side?: 'start' | 'end'): Edge => ({
  region,
  offset: typeof value === 'number' ? lu(value) : value,
  ...(side && { side }),
});
const edges = (start: Edge, end: Edge): AxisRule => ({ kind: 'edges', start, end });
const length = (value: Length, more: Partial<Extent> = {}): Extent =>
  ({ kind: 'length', length: value, ...more }) as Extent;
const middle = (extent: Extent, region: Region = 'safe', shift = lu(0)): AxisRule => ({
  kind: 'middle',
  region,
  shift,
  extent,
});
const ratio: Extent = { kind: 'from-ratio' };
const own = { value: 'own', strict: true } as const;

const base = scenes['winter-splash']!.layers.find((l) => l.id === 'harbour') as PictureLayer;
const picture = (
  placing: Placing,
  fit: Partial<Fit> = {},
  more: Partial<PictureLayer> = {},
): PictureLayer => ({
  ...base,
  ...more,
  placing,
  fit: { ...base.fit, ...fit },
});
const panel = (more: Partial<PanelLayer>): PanelLayer => ({
  ...(scenes['sign-in']!.layers.find((l) => l.id === 'form') as PanelLayer),
  ...more,
});
const text = (more: Partial<TextLayer>): TextLayer => ({
  ...(scenes['sign-in']!.layers.find((l) => l.id === 'greeting') as TextLayer),
  ...more,
});
const ground = (colour: Extract<Layer, { kind: 'ground' }>['colour'], opacity?: number): Layer => ({
  kind: 'ground',
  id: 'g',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour,
  ...(opacity !== undefined && { opacity }),
});
const contain = { size: 'contain' } as const;
const half = { x: { percent: 50, offset: lu(0) }, y: { percent: 50, offset: lu(0) } };
const repeated = (x: Fit['repeat']['x'], y: Fit['repeat']['y']) => ({
  repeat: { x, y },
  align: { kind: 'position' as const, ...half },
});
const stops = [
  { colour: { named: 'deep-water' }, at: 0 },
  { colour: { light: '#e6b98a' }, at: 100 },
];

const LAYERS: Record<string, Layer> = {
  'ground, one colour': ground({ light: '#ffffff' }),
  'ground, light and dark': ground({ light: '#ffffff', dark: '#101418' }),
  'ground, named': ground({ named: 'deep-water' }),
  'ground, see-through': ground({ light: '#12303b80' }, 0.5),
  'ground, gradient': ground({ gradient: 'linear', angle: 180, stops }),
  'ground, gradient at an angle': ground({ gradient: 'linear', angle: 35, stops }),
  'ground, round gradient': ground({ gradient: 'radial', centre: { x: 50, y: 40 }, stops }),
  'all four edges': picture(fillScreen()),
  'all four edges, from another region': picture({
    x: edges(edge('margins', 8), edge('margins', 8)),
    y: edges(edge('margins', 8), edge('margins', 8)),
  }),
  'edges from two regions': picture({
    x: edges(edge('screen'), edge('safe', 12)),
    y: edges(edge('content', percent(5)), edge('screen')),
  }),
  'edges alike on one axis': picture({
    x: edges(edge('safe', 16), edge('safe', 16)),
    y: edges(edge('safe'), edge('content', 4)),
  }),
  'an edge from a named length': picture({
    x: edges(edge('screen', { named: 'gap' }), edge('screen', { value: 3, unit: 'px' })),
    y: edges(edge('screen'), edge('screen')),
  }),
  'start and end': picture({
    x: { kind: 'start', edge: edge('safe', 24), extent: length(lu(120)) },
    y: { kind: 'end', edge: edge('screen', 0), extent: length(percent(25)) },
  }),
  'the other side of a layer': picture(underLayer('emblem'), contain),
  'above a layer': picture(
    {
      x: middle(length(lu(80)), 'layer:emblem'),
      y: { kind: 'end', edge: edge('layer:emblem', 20, 'start'), extent: length(lu(40)) },
    },
    contain,
  ),
  'middle, with a share and a bound': picture(middleOfSafeArea(), contain),
  'middle, shifted': picture(
    { x: middle(length(percent(38)), 'screen', percent(-4)), y: middle(ratio, 'safe', lu(12)), ratio: own },
    contain,
  ),
  'a share of the shorter side': picture(
    { x: middle(length(percent(60), { of: 'short' })), y: middle(ratio), ratio: own },
    contain,
  ),
  'a share of another layer': picture(
    { x: middle(length(percent(150), { of: 'layer:emblem' })), y: middle(ratio), ratio: own },
    contain,
  ),
  'natural size with bounds': picture({
    x: middle({ kind: 'natural', min: { length: lu(80) }, max: { length: percent(90), of: 'safe' } }),
    y: middle({ kind: 'natural' }),
  }),
  'a given shape': picture({
    x: middle(length(percent(80), { of: 'safe' })),
    y: middle(ratio),
    ratio: { value: 16 / 9, strict: true },
  }),
  'a shape that yields': picture({
    x: edges(edge('screen'), edge('screen')),
    y: middle({ kind: 'from-ratio', max: { length: percent(40) } }),
    ratio: { value: 1.85, strict: false },
  }),
  'a strip': picture(stripAtBottom()),
  'contain in a box of another shape': picture(fillScreen(), contain),
  stretch: picture(fillScreen(), { size: 'stretch' }),
  'natural size': picture(fillScreen(), { size: 'natural', clip: false }),
  'scale down': picture(fillScreen(), { size: 'scale-down' }),
  'match width': picture(fillScreen(), { size: 'match-width' }),
  'match height': picture(fillScreen(), { size: 'match-height' }),
  tile: picture(fillScreen(), { size: 'natural', ...repeated('repeat', 'repeat') }),
  'a size of its own, repeated across': picture(fillScreen(), {
    size: { width: percent(35), height: 'auto' },
    ...repeated('space', 'no-repeat'),
  }),
  'a size of its own, whole copies': picture(fillScreen(), {
    size: { width: lu(48), height: lu(24) },
    ...repeated('round', 'repeat'),
  }),
  'a focal point': picture(fillScreen(), { align: { kind: 'focal' } }),
  'a position with distances': picture(fillScreen(), {
    align: { kind: 'position', x: { percent: 100, offset: lu(-12) }, y: { percent: 0, offset: percent(3) } },
  }),
  'rounded corners': picture(fillScreen(), { cornerRadius: lu(16) }),
  'tinted and thinned': picture(fillScreen(), {}, { tint: { named: 'deep-water' }, opacity: 0.4 }),
  'a panel of 80 %': panel({ placing: panelInTheMiddle() }),
  'a panel, square and uneven': panel({
    placing: fillScreen(),
    cornerRadius: lu(0),
    padding: { left: lu(8), right: lu(8), top: lu(24), bottom: percent(2) },
    clip: false,
  }),
  'text in a panel': text({}),
  'text, all of its type': text({
    parent: undefined,
    placing: {
      x: middle({ kind: 'natural', max: { length: percent(90), of: 'safe' } }),
      y: { kind: 'start', edge: edge('layer:emblem', 16, 'end'), extent: { kind: 'natural' } },
    },
    text: 'Crossings may be cancelled in strong wind; ask on the quay.',
    style: {
      font: 'serif',
      weight: 700,
      size: 24,
      lineHeight: 1.2,
      colour: { light: '#12303b', dark: '#ece6da' },
      align: { x: 'middle', y: 'middle' },
      maxLines: 2,
      shrinkTo: 12,
    },
  }),
};

const WHEN: Record<string, When> = {
  'differs when turned': { orientation: 'landscape', placing: stripAtBottom() },
  'differs by width': {
    minWidth: 600,
    maxWidth: 839.5,
    placing: middleOfSafeArea(),
    fit: { ...base.fit, size: 'contain' },
  },
  'not shown when upright and narrow': { orientation: 'portrait', maxWidth: 320, visible: false },
};

describe('one sentence for every kind of rule', () => {
  const golden = readFileSync(path.join(import.meta.dirname, 'golden.txt'), 'utf8')
    .trim()
    .split('\n\n')
    .map((entry) => entry.split('\n') as [string, string]);
  const said: [string, string][] = [
    ...Object.entries(LAYERS).map(([kind, layer]): [string, string] => [
      kind,
      sentenceText(layerSentence(layer, names, project.pictures)),
    ]),
    ...Object.entries(WHEN).map(([kind, when]): [string, string] => [
      kind,
      sentenceText(whenSentence({ ...base, when: [when] }, 0, names, project.pictures)),
    ]),
  ];

  it('is in the file, and nothing else', () => {
    expect(said.map(([kind]) => kind)).toEqual(golden.map(([kind]) => kind));
  });

  it.each(said)('%s', (kind, sentence) => {
    expect(sentence).toBe(golden.find(([k]) => k === kind)?.[1]);
  });
});
