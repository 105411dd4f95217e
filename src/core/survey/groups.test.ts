import fc from 'fast-check';
import { fillScreen } from '../placing/presets';
import type { Rect } from '../geometry/rect';
import { contrastRatio } from '../pixels/colour';
import { colourAt, rgbaOf, type Raster, type Rgba } from '../pixels/raster';
import type { Layer, PanelLayer, TextLayer } from '../scene/scene';
import { lu, percent } from '../values/values';
import { background, ground, label, raster, veil, withPixels } from '../testing/painted';
import { edgesOf, fitOf, inputOf, middleOf, UPRIGHT } from '../testing/scenes';
import { inkOn, type InkOnTiles } from './contrast';
import { surveyCase, type CaseResult, type PictureResult } from './survey';

/** Colour and alpha of one point of a file, or nothing outside it. */
function filePoint(image: Raster, l: PictureResult, x: number, y: number): Rgba | null {
  const { drawn, box, tiles, clipped, cornerRadius } = l.placement;
  if (clipped && !inRound(box, cornerRadius, x, y)) return null;
  const along = (at: number, start: number, extent: number, tiling: { pitch: number } | null) => {
    const off = at - start;
    return (tiling ? off - Math.floor(off / tiling.pitch) * tiling.pitch : off) / extent;
  };
  const u = along(x, drawn.x, drawn.width, tiles.x);
  const v = along(y, drawn.y, drawn.height, tiles.y);
  if (u < 0 || v < 0 || u >= 1 || v >= 1) return null;
  const i = (Math.floor(v * image.height) * image.width + Math.floor(u * image.width)) * 4;
  const [r, g, b, a] = [...image.data.slice(i, i + 4)] as [number, number, number, number];
  return { r, g, b, a: a / 255 };
}

function inRound({ x: left, y: top, width, height }: Rect, radius: number, x: number, y: number): boolean {
  if (x < left || y < top || x >= left + width || y >= top + height) return false;
  const dx = Math.max(left + radius - x, x - (left + width - radius), 0);
  const dy = Math.max(top + radius - y, y - (top + height - radius), 0);
  return Math.hypot(dx, dy) <= radius;
}

/** Source-over of two colours that may both be see-through. Source: CSS Compositing 1 §5.1. */
function onto(top: Rgba, below: Rgba): Rgba {
  const a = top.a + below.a * (1 - top.a);
  const mix = (p: number, q: number) => (a > 0 ? (p * top.a + q * below.a * (1 - top.a)) / a : 0);
  return { r: mix(top.r, below.r), g: mix(top.g, below.g), b: mix(top.b, below.b), a };
}
const faint = (colour: Rgba, by: number): Rgba => ({ ...colour, a: colour.a * by });
const NO_IMAGE: Raster = { width: 1, height: 1, data: new Uint8Array(4) };
const CLEAR: Rgba = { r: 0, g: 0, b: 0, a: 0 };

/** One point as groups are painted: each by itself, then faded and cut as one. The ink fills all of its own layer. */
function pointOf(
  all: CaseResult['layers'],
  parent: string | undefined,
  paint: { x: number; y: number; image: Raster; ink: Rgba | null },
): Rgba {
  let colour = CLEAR;
  const { x, y, image, ink } = paint;
  for (const l of all) {
    if ((l.kind === 'ground' ? undefined : l.parent) !== parent) continue;
    if (l.kind === 'ground') colour = rgbaOf('#224466');
    if (l.kind === 'text' && ink) colour = onto(faint(ink, l.opacity), colour);
    if (l.kind === 'picture') {
      const own = filePoint(image, l, x, y);
      if (own) colour = onto(faint(own, l.opacity), colour);
    }
    if (l.kind === 'panel') {
      const inside = inRound(l.box, l.placement.cornerRadius, x, y);
      const fill = l.paint.kind === 'colour' && inside ? rgbaOf(l.paint.colour) : CLEAR;
      const held = l.clip && !inside ? CLEAR : pointOf(all, l.id, paint);
      colour = onto(faint(onto(held, fill), l.opacity), colour);
    }
  }
  return colour;
}

/** Each of some tiles of a text has the mean of points that are painted one by one, beside the ink and under it. */
function expectMeans(
  area: Rect,
  found: Pick<InkOnTiles, 'inks' | 'tiles'>,
  { all, image }: { all: CaseResult['layers']; image: Raster },
  { tiles, within }: { tiles: readonly number[]; within: number },
): void {
  const N = 32;
  for (const tile of tiles) {
    for (const [ink, seen] of [
      [null, found.tiles],
      [rgbaOf('#fffffff0'), found.inks],
    ] as const) {
      const sum = { r: 0, g: 0, b: 0 };
      for (let k = 0; k < N * N; k++) {
        const x = area.x + (((tile % 8) + ((k % N) + 0.5) / N) * area.width) / 8;
        const y = area.y + ((Math.floor(tile / 8) + (Math.floor(k / N) + 0.5) / N) * area.height) / 8;
        const c = pointOf(all, undefined, { x, y, image, ink });
        for (const ch of ['r', 'g', 'b'] as const) sum[ch] += c[ch] / (N * N);
      }
      for (const ch of ['r', 'g', 'b'] as const)
        expect(Math.abs(colourAt(seen, tile)[ch] - sum[ch])).toBeLessThan(within);
    }
  }
}

describe('contrast in groups', () => {
  const panelOf = (id: string, colour: string, more: Partial<PanelLayer> = {}): PanelLayer => ({
    ...veil,
    id,
    name: id,
    placing: fillScreen(),
    colour: { light: colour },
    ...more,
  });
  const contrastIn = (layers: Layer[]) => {
    const input = { ...inputOf(layers, []), pixels: new Map() };
    const text = surveyCase(input, UPRIGHT).layers.find((l) => l.id === 'it')!;
    return text.kind === 'text' ? text.measures.contrast : null;
  };
  const black: Layer = { ...ground, colour: { light: '#000000' } } as Layer;
  const white: TextLayer = { ...label, style: { ...label.style, colour: { light: '#ffffff' } } };

  it('fades a panel and what it holds as one: an opaque inner panel hides the outer one', () => {
    const outer = panelOf('outer', '#ffffff', { opacity: 0.5 });
    const inner = panelOf('inner', '#000000', { parent: 'outer' });
    expect(contrastIn([black, outer, inner, white])).toBeCloseTo(21, 9);
    expect(contrastIn([black, outer, white])).toBeCloseTo(
      contrastRatio({ r: 255, g: 255, b: 255 }, { r: 127.5, g: 127.5, b: 127.5 }),
      9,
    );
  });

  it('shows nothing of a panel that is covered by what it holds, at its round corners either', () => {
    const clipping = panelOf('outer', '#ffffff', { clip: true, cornerRadius: lu(400) });
    const inner = panelOf('inner', '#000000', { parent: 'outer' });
    const everywhere: TextLayer = { ...white, placing: fillScreen() };
    expect(contrastIn([black, clipping, inner, everywhere])).toBeCloseTo(21, 6);
  });

  it('shows nothing of a panel under what ends at the same edge, in the middle of a tile either', () => {
    const half = { x: edgesOf('screen'), y: middleOf({ kind: 'length', length: percent(41) }, 'screen') };
    const plate = panelOf('plate', '#ffffff', { placing: half });
    const cover = panelOf('cover', '#000000', { placing: half });
    const everywhere: TextLayer = {
      ...white,
      placing: { x: edgesOf('screen'), y: middleOf({ kind: 'natural' }, 'screen') },
      style: { ...white.style, size: 90 },
    };
    const input = { ...inputOf([black, plate, cover, everywhere], []), pixels: new Map() };
    const { tiles } = inkOn(surveyCase(input, UPRIGHT), 'it', input)!;
    for (const channel of tiles) expect(channel).toBeCloseTo(0, 9);
  });

  const edge = fc.record({ from: fc.integer({ min: -20, max: 80 }), size: fc.integer({ min: 10, max: 90 }) });
  const plates = fc.array(
    fc.record({
      x: edge,
      y: edge,
      colour: fc.constantFrom('#ffffff', '#c02020', '#2030c0a0', '#00000080'),
      opacity: fc.constantFrom(1, 0.5),
      clip: fc.boolean(),
      isHeld: fc.boolean(),
    }),
    { minLength: 1, maxLength: 5 },
  );
  const startOf = ({ from, size }: { from: number; size: number }) => ({
    kind: 'start' as const,
    edge: { region: 'screen' as const, offset: percent(from) },
    extent: { kind: 'length' as const, length: percent(size) },
  });

  it('knows where the edges of plates lie inside a tile', () => {
    fc.assert(
      fc.property(plates, fc.boolean(), (list, isHeld) => {
        const layers: Layer[] = list.map((p, i) =>
          panelOf(`p${i}`, p.colour, {
            opacity: p.opacity,
            clip: p.clip,
            placing: { x: startOf(p.x), y: startOf(p.y) },
            ...(p.isHeld && i > 0 && { parent: `p${i - 1}` }),
          }),
        );
        const text = { ...label, ...(isHeld && { parent: 'p0' }) };
        const input = { ...inputOf([ground, ...layers, text], []), pixels: new Map() };
        const result = surveyCase(input, UPRIGHT);
        const at = result.layers.findIndex((l) => l.id === 'it');
        const own = result.layers[at]!;
        if (own.kind !== 'text') throw new Error('It is a text');
        fc.pre(own.placement.visible !== null);
        const found = inkOn(result, 'it', input)!;
        const drawn = { all: result.layers.slice(0, at + 1), image: NO_IMAGE };
        // Each edge is missed by half a sample.
        expectMeans(own.placement.visible!, found, drawn, {
          tiles: [0, 7, 27, 36, 56, 63],
          within: (255 * 2) / 32,
        });
      }),
      { numRuns: 30 },
    );
  });

  it('lets the ground through a text as much as through the panel that holds it', () => {
    const outer = panelOf('outer', '#ffffff', { opacity: 0.5 });
    const held: TextLayer = {
      ...white,
      parent: 'outer',
      style: { ...white.style, colour: { light: '#000000' } },
    };
    expect(contrastIn([black, outer, held])).toBeCloseTo(
      contrastRatio({ r: 0, g: 0, b: 0 }, { r: 127.5, g: 127.5, b: 127.5 }),
      9,
    );
  });

  const opacity = fc.constantFrom(1, 0.7, 0.3);
  const scene = fc.record({
    image: raster,
    repeat: fc.constantFrom('no-repeat' as const, 'repeat' as const, 'space' as const, 'round' as const),
    width: fc.integer({ min: 30, max: 300 }),
    round: fc.constantFrom(0, 60, 500),
    outer: opacity,
    inner: opacity,
    photo: opacity,
    clip: fc.boolean(),
    radius: fc.constantFrom(0, 40, 160),
    holder: fc.constantFrom(undefined, 'outer', 'inner'),
  });

  it('has, tile by tile, the mean of points that are painted one by one, under the ink and beside it', () => {
    fc.assert(
      fc.property(scene, (s) => {
        const photo = {
          ...background('cover', s.photo),
          fit: {
            ...fitOf('cover', true, { x: 30, y: 70 }),
            size: { width: lu(s.width), height: 'auto' as const },
            repeat: { x: s.repeat, y: s.repeat },
            cornerRadius: lu(s.round),
          },
        };
        const middle = { kind: 'length' as const, length: percent(60) };
        const layers: Layer[] = [
          ground,
          photo,
          panelOf('outer', '#ffe0a0c0', { opacity: s.outer, clip: s.clip, cornerRadius: lu(s.radius) }),
          {
            ...background('cover', 0.8),
            id: 'held',
            parent: 'outer',
            placing: { x: middleOf(middle, 'screen'), y: middleOf(middle, 'screen') },
          },
          panelOf('inner', '#20408080', {
            parent: 'outer',
            opacity: s.inner,
            cornerRadius: lu(s.radius),
            placing: { x: edgesOf('screen'), y: middleOf({ kind: 'length', length: percent(40) }, 'screen') },
          }),
          { ...label, ...(s.holder && { parent: s.holder }) },
        ];
        const input = withPixels(s.image, layers);
        const result = surveyCase(input, UPRIGHT);
        const found = inkOn(result, 'it', input)!;
        const text = result.layers.find((l) => l.id === 'it')!;
        if (text.kind !== 'text') throw new Error('It is a text');
        // What is drawn over the text does not lie under it.
        const all = result.layers.slice(0, result.layers.indexOf(text) + 1);
        const drawn = { all, image: s.image };
        expectMeans(text.placement.visible!, found, drawn, { tiles: [0, 13, 56, 63], within: 255 / 24 });
      }),
      { numRuns: 60 },
    );
  });
});
