import * as fc from 'fast-check';
import { DEFAULT_LIMITS } from '../measure/defaults';
import { fillScreen } from '../placing/presets';
import { survey } from '../survey/survey';
import { edgesOf, fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { percent } from '../values/values';
import { casesOf } from './cases';
import { checkScreen, impossibleBecause } from './check';
import { firstOwn, kindBySize, ownCopy, screenOf, turnedInsets, withDensity, withPx } from './own';
import type { Screen } from './screen';

const layers = [
  pictureLayer(fillScreen(), { id: 'photo', role: 'background', fit: fitOf('cover') }),
  pictureLayer({
    x: middleOf({ kind: 'length', length: percent(40), of: 'safe' }),
    y: edgesOf('safe'),
  }),
];
const input = {
  ...inputOf(layers, [pictureOf('logo', { widthPx: 1200, heightPx: 900, density: 3 })]),
  limits: DEFAULT_LIMITS,
};

/** A screen as somebody types it in: a new one, changed figure by figure. */
function typedIn(s: Screen): Screen {
  const sized = withPx(withDensity(firstOwn('own-1'), s.density), s.framebufferPx);
  const { insets, bars, cutouts, cornerRadius, rotates, kind, family, ppi, panelPx } = s;
  return {
    ...sized,
    insets,
    bars,
    cutouts,
    cornerRadius,
    rotates,
    kind,
    family,
    ppi,
    panelPx,
    label: 'Mine',
  };
}

describe('a screen of one’s own', () => {
  it('has the figures of the class of the catalogue with the same metrics, everywhere', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SCREENS), (screen) => {
        const bare = (of: Screen) =>
          survey(input, casesOf([of], ['light', 'dark'])).map(({ id: _, screenId: __, ...rest }) => rest);
        expect(bare(typedIn(screen))).toEqual(bare(screen));
      }),
      { numRuns: SCREENS.length * 2 },
    );
  });

  it('is 390 × 844 at 3 px per lu at first, and keeps its size in lu with another density', () => {
    const own = firstOwn('own');
    expect(own.framebufferPx).toEqual({ width: 1170, height: 2532 });
    expect(withDensity(own, 2)).toMatchObject({ width: 390, height: 844, framebufferPx: { width: 780 } });
    expect(withPx(own, { width: 1200, height: 2400 })).toMatchObject({ width: 400, height: 800 });
    expect(impossibleBecause(own)).toBeNull();
  });

  it('turns its insets with it', () => {
    const natural = { top: 47, right: 1, bottom: 34, left: 2 };
    expect(turnedInsets(natural, 90)).toEqual({ left: 47, top: 1, right: 34, bottom: 2 });
    expect(turnedInsets(natural, 270)).toEqual({ right: 47, bottom: 1, left: 34, top: 2 });
  });

  it('is of the kind that its size tells', () => {
    const sizes = [
      [360, 640, 'compact-phone'],
      [393, 852, 'phone'],
      [430, 932, 'large-phone'],
      [820, 1180, 'tablet'],
      [1280, 800, 'desktop-window'],
    ] as const;
    for (const [width, height, kind] of sizes) expect(kindBySize({ width, height })).toBe(kind);
  });
});

describe('figures of a screen', () => {
  it('are possible for all that the catalogue has', () => {
    expect(SCREENS.flatMap((s) => checkScreen(s).filter((p) => p.isImpossible))).toEqual([]);
  });

  const own = firstOwn('own');
  it.each<[string, Partial<Screen>, RegExp]>([
    [
      'insets that meet',
      { insets: { ...own.insets, 0: { top: 500, bottom: 400, left: 0, right: 0 } } },
      /meet, 500 and 400 of 844/,
    ],
    [
      'a cutout outside',
      { cutouts: [{ shape: 'pill', x: 380, y: 0, width: 60, height: 20, radius: 10 }] },
      /Cutout 1/,
    ],
    ['a density that no screen has', { density: 40 }, /40 px per lu/],
    ['a strip', withPx(own, { width: 300, height: 6000 }), /times as long as wide/],
    ['round corners', { cornerRadius: 300 }, /rounder/],
    [
      'high bars',
      { bars: { status: { portrait: 300, landscape: 0 }, gesture: null, buttons: null } },
      /half of the shorter/,
    ],
  ])('are refused with %s', (_, change, why) => {
    expect(impossibleBecause({ ...own, ...change })).toMatch(why);
  });

  it('are marked where they are unusual', () => {
    const odd = { ...withPx(own, { width: 900, height: 3000 }), ppi: 2000 };
    expect(checkScreen(odd).map((p) => [p.part, p.isImpossible])).toEqual([
      ['size', false],
      ['ppi', false],
    ]);
  });

  it('are approximate where nobody has said them', () => {
    const screen = screenOf({
      id: 'own-2',
      label: 'Till',
      px: { width: 1000, height: 1400 },
      density: 2,
      weight: 3,
      origin: 'imported',
    });
    expect(screen).toMatchObject({ confidence: 'low', approximate: ['insets'], width: 500, height: 700 });
    const copy = ownCopy(screen, 'own-3');
    expect(copy).toMatchObject({ id: 'own-3', label: 'Till, own', origin: 'custom' });
    expect(copy.insets).not.toBe(screen.insets);
  });
});
