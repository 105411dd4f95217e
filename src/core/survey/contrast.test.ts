import fc from 'fast-check';
import { fillScreen } from '../placing/presets';
import { contrastsOf, leastScrim, tenthContrast } from '../measure/contrast';
import { contrastRatio, over } from '../pixels/colour';
import { filePixelsOf, packRaster, unpackRaster } from '../pixels/file';
import { colourAt, coloursOf, rgbaOf, type Raster, type Rgba } from '../pixels/raster';
import type { Rect } from '../geometry/rect';
import type { Layer, PanelLayer, TextLayer } from '../scene/scene';
import { lu, percent } from '../scene/values';
import { edgesOf, fitOf, inputOf, middleOf, pictureLayer, pictureOf, UPRIGHT } from '../testing/scenes';
import { inkOn } from './contrast';
import { scrimFor } from './scrim';
import { surveyCase, type CaseResult, type PictureResult } from './survey';

const HASH = 'b'.repeat(64);
const photo = pictureOf('photo', { widthPx: 12, heightPx: 9, density: 0.02, hash: HASH });

const raster: fc.Arbitrary<Raster> = fc
  .uint8Array({ minLength: 12 * 9 * 4, maxLength: 12 * 9 * 4 })
  .map((data) => ({ width: 12, height: 9, data }));

const ground: Layer = {
  kind: 'ground',
  id: 'ground',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour: { light: '#224466' },
};
const background = (size: 'cover' | 'contain', opacity: number) =>
  pictureLayer(fillScreen(), {
    id: 'photo',
    picture: 'photo',
    role: 'background',
    opacity,
    fit: fitOf(size, true, { x: 30, y: 70 }),
  });
const nothing = { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) };
const veil: PanelLayer = {
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
const label: TextLayer = {
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

const withPixels = (image: Raster, layers: Layer[]) => ({
  ...inputOf(layers, [photo]),
  pixels: new Map([[HASH, filePixelsOf(image)]]),
});

/** One point of the screen, mixed pixel by pixel from what the survey says lies where. */
function colourAtPoint(
  image: Raster,
  layers: ReturnType<typeof surveyCase>['layers'],
  x: number,
  y: number,
): Rgba {
  let colour: Rgba = rgbaOf('#224466');
  for (const l of layers) {
    if (l.kind === 'picture') {
      const { drawn, box } = l.placement;
      const [u, v] = [(x - drawn.x) / drawn.width, (y - drawn.y) / drawn.height];
      const inBox = x >= box.x && y >= box.y && x < box.x + box.width && y < box.y + box.height;
      if (!inBox || u < 0 || v < 0 || u >= 1 || v >= 1) continue;
      const i = (Math.floor(v * image.height) * image.width + Math.floor(u * image.width)) * 4;
      const [r, g, b, a] = [...image.data.slice(i, i + 4)] as [number, number, number, number];
      colour = over({ r, g, b, a: (a / 255) * l.opacity }, colour);
    }
    if (l.kind === 'panel' && y >= l.box.y && y < l.box.y + l.box.height)
      colour = over(rgbaOf('#00000066'), colour);
  }
  return colour;
}

describe('what lies under a text', () => {
  it('has, tile by tile, the mean of the pixels mixed one by one', () => {
    const inputs = fc.tuple(
      raster,
      fc.constantFrom('cover' as const, 'contain' as const),
      fc.double({ min: 0.2, max: 1, noNaN: true }),
    );
    fc.assert(
      fc.property(inputs, ([image, size, opacity]) => {
        const input = withPixels(image, [ground, background(size, opacity), veil, label]);
        const result = surveyCase(input, UPRIGHT);
        const { tiles } = inkOn(result, 'it', input)!;
        const text = result.layers.at(-1)!;
        if (text.kind !== 'text') throw new Error('It is a text');
        const area = text.placement.visible!;
        const N = 24;
        for (const tile of [0, 13, 63]) {
          const sum = { r: 0, g: 0, b: 0 };
          for (let k = 0; k < N * N; k++) {
            const x = area.x + (((tile % 8) + ((k % N) + 0.5) / N) * area.width) / 8;
            const y = area.y + ((Math.floor(tile / 8) + (Math.floor(k / N) + 0.5) / N) * area.height) / 8;
            const c = colourAtPoint(image, result.layers, x, y);
            for (const ch of ['r', 'g', 'b'] as const) sum[ch] += c[ch] / (N * N);
          }
          // Samples miss the edge of a pixel by half a step.
          for (const ch of ['r', 'g', 'b'] as const)
            expect(Math.abs(colourAt(tiles, tile)[ch] - sum[ch])).toBeLessThan(255 / N);
        }
        const figure = text.measures.contrast!;
        const all = contrastsOf(inkOn(result, 'it', input)!.inks, tiles);
        expect(all.filter((c) => c < figure - 1e-12).length).toBeLessThanOrEqual(6);
        expect(all.filter((c) => c >= figure).length).toBeGreaterThanOrEqual(58);
      }),
      { numRuns: 40 },
    );
  });

  it('is not known without pixels only where a picture lies; a plain ground is enough for a text', () => {
    const input = { ...inputOf([ground, label], []), pixels: new Map() };
    const text = surveyCase(input, UPRIGHT).layers[1]!;
    const expected = contrastRatio(over(rgbaOf('#fffffff0'), rgbaOf('#224466')), rgbaOf('#224466'));
    expect(text.kind === 'text' && text.measures.contrast).toBeCloseTo(expected, 12);
    const blind = surveyCase(inputOf([ground, label], []), UPRIGHT).layers[1]!;
    expect(blind.kind === 'text' && blind.measures.contrast).toBeNull();
  });

  it('is the border of an opaque logo, and the tint of a tinted one counts as its ink', () => {
    const data = new Uint8Array(12 * 9 * 4).fill(255);
    for (let x = 4; x < 8; x++) data.set([0, 0, 0], (4 * 12 + x) * 4);
    const logo = pictureLayer(
      {
        x: middleOf({ kind: 'length', length: lu(200) }),
        y: middleOf({ kind: 'from-ratio' }),
        ratio: { value: 'own', strict: true },
      },
      { picture: 'photo' },
    );
    const contrast = (layer: Layer) => {
      const drawn = surveyCase(withPixels({ width: 12, height: 9, data }, [ground, layer]), UPRIGHT)
        .layers[1]!;
      return drawn.kind === 'picture' ? drawn.measures.contrast : null;
    };
    expect(contrast(logo)).toBeCloseTo(21, 9);
    // A tint replaces every colour: of an opaque file only a plain rectangle is left, on what lies under it.
    expect(contrast({ ...logo, tint: { light: '#777777' } })).toBeCloseTo(
      contrastRatio(rgbaOf('#777777'), rgbaOf('#224466')),
      9,
    );
    expect(contrast({ ...logo, tint: { light: '#224466' } })).toBeCloseTo(1, 9);
    // Half of the ground shows through its border as well as through its ink.
    const mixed = (hex: string) => over({ ...rgbaOf(hex), a: 0.5 }, rgbaOf('#224466'));
    expect(contrast({ ...logo, opacity: 0.5 })).toBeCloseTo(
      contrastRatio(mixed('#000000'), mixed('#ffffff')),
      9,
    );
    expect(contrast({ ...logo, role: 'background' })).toBeNull();
  });
});

describe('a scrim', () => {
  const tile = fc.record({
    r: fc.double({ min: 0, max: 255, noNaN: true }),
    g: fc.double({ min: 0, max: 255, noNaN: true }),
    b: fc.double({ min: 0, max: 255, noNaN: true }),
    a: fc.constant(1),
  });

  it('of the least alpha is enough, every larger one is, and a little less is not', () => {
    const ink = fc.tuple(tile, fc.constantFrom(1, 0.9)).map(([c, a]) => ({ ...c, a }));
    const scrims = fc.constantFrom(rgbaOf('#000000'), rgbaOf('#ffffff'));
    fc.assert(
      fc.property(
        ink,
        fc.array(tile, { minLength: 64, maxLength: 64 }),
        scrims,
        fc.constantFrom(3, 4.5),
        (own, tiles, scrim, least) => {
          const under = (alpha: number) =>
            tenthContrast(own, coloursOf(tiles.map((t) => over({ ...scrim, a: alpha }, t))));
          const alpha = leastScrim(tiles.length, least, (i, a) => {
            const laid = over({ ...scrim, a }, tiles[i]!);
            return contrastRatio(over(own, laid), laid);
          });
          if (alpha === null) return expect(under(1)).toBeLessThan(least);
          for (let i = 0; i <= 8; i++)
            expect(under(alpha + ((1 - alpha) * i) / 8)).toBeGreaterThanOrEqual(least - 1e-9);
          if (alpha > 0.04)
            expect(Math.min(...[0.04, 0.02, 0.001].map((d) => under(alpha - d)))).toBeLessThan(least);
        },
      ),
    );
  });

  it('is offered in the colour that needs less, with the case that asks for it, and then suffices', () => {
    const data = new Uint8Array(12 * 9 * 4).fill(255);
    const input = withPixels({ width: 12, height: 9, data }, [ground, background('cover', 1), label]);
    const scrim = scrimFor(input, [UPRIGHT], 'it', 4.5)!;
    expect(scrim).toMatchObject({ colour: '#000000', caseId: UPRIGHT.id });
    const alpha = Math.ceil(scrim.alpha * 255)
      .toString(16)
      .padStart(2, '0');
    const laid = { ...veil, colour: { light: `#000000${alpha}` }, placing: fillScreen() };
    const text = surveyCase(
      withPixels({ width: 12, height: 9, data }, [ground, background('cover', 1), laid, label]),
      UPRIGHT,
    ).layers.at(-1)!;
    expect(text.kind === 'text' && text.measures.contrast).toBeGreaterThanOrEqual(4.5);
    expect(text.kind === 'text' && text.measures.contrast).toBeLessThan(4.6);
  });
});

/** Colour and alpha of one point of a file, or nothing outside of it. */
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
        const area = text.placement.visible!;
        const N = 32;
        for (const tile of [0, 13, 56, 63]) {
          for (const [ink, seen] of [
            [null, found.tiles],
            [rgbaOf('#fffffff0'), found.inks],
          ] as const) {
            const sum = { r: 0, g: 0, b: 0 };
            for (let k = 0; k < N * N; k++) {
              const x = area.x + (((tile % 8) + ((k % N) + 0.5) / N) * area.width) / 8;
              const y = area.y + ((Math.floor(tile / 8) + (Math.floor(k / N) + 0.5) / N) * area.height) / 8;
              const c = pointOf(all, undefined, { x, y, image: s.image, ink });
              for (const ch of ['r', 'g', 'b'] as const) sum[ch] += c[ch] / (N * N);
            }
            for (const ch of ['r', 'g', 'b'] as const)
              expect(Math.abs(colourAt(seen, tile)[ch] - sum[ch])).toBeLessThan(255 / 24);
          }
        }
      }),
      { numRuns: 60 },
    );
  });
});

it('a raster survives being packed, and what is no raster is refused', () => {
  fc.assert(
    fc.property(raster, (image) => {
      const back = unpackRaster(packRaster(image).buffer);
      expect([back.width, back.height, [...back.data]]).toEqual([12, 9, [...image.data]]);
    }),
    { numRuns: 10 },
  );
  expect(() => unpackRaster(new ArrayBuffer(40))).toThrow('not the pixels');
});
