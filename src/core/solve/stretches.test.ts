import { DEFAULT_LIMITS } from '../measure/defaults';
import { gravestOfEach } from '../measure/judge';
import { fillScreen } from '../placing/presets';
import { casesOf } from '../screens/cases';
import { FREE_WINDOW, freeWindow } from '../screens/free';
import { surveyCase } from '../survey/survey';
import { edgesOf, fitOf, inputOf, pictureLayer, pictureOf, SCREENS, UPRIGHT } from '../testing/scenes';
import { seenParts } from './layer';
import { stretchesOf } from './stretches';

const keepAreas = [{ subject: 'a', rect: { x: 0.4, y: 0.4, width: 0.3, height: 0.2 }, weight: 1 }];
const layer = pictureLayer(fillScreen(), { role: 'background', fit: fitOf('cover') });
const input = {
  ...inputOf([layer], [pictureOf('logo', { widthPx: 4800, heightPx: 3600, density: 3 }, { keepAreas })]),
  limits: DEFAULT_LIMITS,
};
const base = UPRIGHT.screen;

describe('a free window', () => {
  it('has the size that is asked for, in whole px, and nothing in its way', () => {
    const { screen } = freeWindow({ width: 500.4, height: 300 }, base, 'light');
    expect(screen.id).toBe(FREE_WINDOW);
    expect(screen.framebufferPx).toEqual({ width: 1501, height: 900 });
    const { regions, bars, outline } = surveyCase(
      input,
      freeWindow({ width: 501, height: 300 }, base, 'light'),
    );
    expect(regions.safe).toEqual(regions.screen);
    expect(bars).toEqual([]);
    expect(outline.glass.radius).toBe(0);
  });

  it('changes its outcome at the very px at which a loss passes its limit', () => {
    // Cover of 4 : 3 in a box 600 high: half of it is cropped at a width of 400, 65 % at 280.
    const found = stretchesOf(input, {
      along: 'width',
      other: 600,
      from: 200,
      to: 1000,
      base,
      appearance: 'light',
    });
    const crops = (lu: number) =>
      found
        .find((s) => s.from <= lu && lu <= s.to)!
        .breaches.filter((b) => b.limit.measure === 'crop')
        .map((b) => b.limit.outcome);
    expect(crops(280 - 1 / 3)).toEqual(['fail']);
    expect(crops(280)).toEqual(['warn']);
    expect(crops(400 - 1 / 3)).toEqual(['warn']);
    expect(crops(400)).toEqual([]);
    expect(found[0]!.from).toBe(200);
    expect(found.at(-1)!.to).toBe(1000);
    // Each begins a px after the one before it, and holds at both of its ends.
    found.forEach((s, i) => {
      if (i > 0) expect((s.from - found[i - 1]!.to) * base.density).toBeCloseTo(1, 9);
      for (const width of [s.from, s.to]) {
        const there = surveyCase(input, freeWindow({ width, height: 600 }, base, 'light'));
        expect(there.outcome).toBe(s.outcome);
        // Which of them is further beyond its limit changes along the way.
        const limits = (all: typeof s.breaches) => new Set(all.map((b) => b.limit));
        expect(limits(gravestOfEach(there.breaches))).toEqual(limits(s.breaches));
      }
    });
  });
});

describe('parts of a picture that are seen', () => {
  const cases = casesOf(SCREENS, ['light']);
  it('everywhere are seen on each case', () => {
    const { everywhere, heat, cases: count } = seenParts(layer, 'any', input, cases);
    expect(count).toBe(cases.length);
    for (const c of cases) {
      const [drawn] = surveyCase(input, c).layers;
      if (drawn?.kind !== 'picture') throw new Error('a picture was placed');
      const { source, natural } = drawn.placement;
      expect(everywhere!.x * natural.width).toBeGreaterThanOrEqual(source!.x - 1e-9);
      expect((everywhere!.x + everywhere!.width) * natural.width).toBeLessThanOrEqual(
        source!.x + source!.width + 1e-9,
      );
    }
    // The middle is in every window of a picture that is held in the middle; the far corner is not.
    expect(heat.shares[9 * heat.columns + 12]).toBeCloseTo(1, 9);
    expect(heat.shares[0]).toBeLessThan(0.5);
  });

  it('are none of a cut that no case takes, and of a repeated picture', () => {
    expect(seenParts(layer, 'portrait', input, cases)).toMatchObject({ everywhere: null, cases: 0 });
    const tiled = { ...layer, fit: { ...fitOf('natural'), repeat: { x: 'repeat', y: 'repeat' } as const } };
    const tiles = { ...input, scene: { ...input.scene, layers: [tiled] } };
    expect(seenParts(tiled, 'any', tiles, cases).cases).toBe(0);
  });

  it('are all of one that is shown whole in its box', () => {
    const whole = pictureLayer({ x: edgesOf('safe'), y: edgesOf('safe') }, { role: 'background' });
    const scene = { ...input.scene, layers: [whole] };
    const { everywhere } = seenParts(whole, 'any', { ...input, scene }, cases);
    expect(everywhere!.x).toBeCloseTo(0, 12);
    expect(everywhere!.width).toBeCloseTo(1, 12);
    expect(everywhere!.height).toBeCloseTo(1, 12);
  });
});
