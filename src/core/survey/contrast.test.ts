import fc from 'fast-check';
import { fillScreen } from '../placing/presets';
import { contrastsOf, leastScrim, tenthContrast } from '../measure/contrast';
import { contrastRatio, over } from '../pixels/colour';
import { packRaster, unpackRaster } from '../pixels/file';
import { colourAt, coloursOf, rgbaOf, type Raster, type Rgba } from '../pixels/raster';
import type { Layer } from '../scene/scene';
import { lu } from '../values/values';
import { background, ground, label, raster, veil, withPixels } from '../testing/painted';
import { inputOf, middleOf, pictureLayer, UPRIGHT } from '../testing/scenes';
import { inkOn } from './contrast';
import { scrimFor } from './scrim';
import { surveyCase } from './survey';

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
