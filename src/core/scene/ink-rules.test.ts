import fc from 'fast-check';
import type { Fit } from '../fit/rule';
import { offMiddle } from '../pixels/centre';
import { inkOffOf, inkOfCuts } from '../pictures/cut-ink';
import { trimmed } from '../pictures/derive';
import type { Picture, Rendition } from '../pictures/picture';
import { surveyCase } from '../survey/survey';
import { inputOf, middleOf, pictureLayer, TURNED, UPRIGHT } from '../testing/scenes';
import { withInkCentred, withoutInkShifts, type InkOff } from './ink-rules';
import type { PictureLayer } from './scene';
import { percent } from '../values/values';
import type { When } from './when';

const file = (n: number, more: Partial<Rendition> = {}): Rendition => ({
  hash: String(n).repeat(64),
  widthPx: 200,
  heightPx: 200,
  density: 1,
  appearance: 'light',
  vector: false,
  ...more,
});
const cutOf = (cut: 'portrait' | 'landscape', renditions: Rendition[]) => ({
  cut,
  renditions,
  keepAreas: [],
  focalPoint: { x: 0.5, y: 0.5 },
});
const picture: Picture = {
  id: 'logo',
  name: 'Logo',
  cuts: [cutOf('portrait', [file(1), file(2, { appearance: 'dark' })]), cutOf('landscape', [file(3)])],
};
const logo = (more: Partial<PictureLayer> = {}) =>
  pictureLayer(
    {
      x: middleOf({ kind: 'length', length: percent(40), of: 'short' }, 'screen'),
      y: middleOf({ kind: 'from-ratio' }, 'screen'),
      ratio: { value: 'own', strict: true },
    },
    more,
  );

/** Where the middle of the ink lies on a case, off the middle of the screen, lu. */
function inkOff(layer: PictureLayer, off: InkOff, c = UPRIGHT): number {
  const result = surveyCase(inputOf([layer], [picture]), c);
  const drawn = result.layers[0]!.kind === 'picture' ? result.layers[0]!.placement.drawn : null;
  const { x, y } = c === UPRIGHT ? off.portrait : off.landscape;
  const { screen } = result.regions;
  return Math.max(
    Math.abs(drawn!.x + drawn!.width * (0.5 + x) - screen.width / 2),
    Math.abs(drawn!.y + drawn!.height * (0.5 + y) - screen.height / 2),
  );
}
const share = fc.double({ min: -0.2, max: 0.2, noNaN: true });
const off = fc.record({ x: share, y: share });
const fits: fc.Arbitrary<Pick<When, 'fit'>> = fc.constantFrom({}, { fit: logo().fit });
const when: fc.Arbitrary<When> = fc
  .tuple(
    fc.constantFrom<Pick<When, 'orientation' | 'minWidth' | 'maxWidth'>>(
      { orientation: 'portrait' },
      { orientation: 'landscape' },
      { minWidth: 500 },
      { maxWidth: 500 },
      { orientation: 'landscape', minWidth: 2000 },
    ),
    fits,
  )
  .map(([a, b]) => ({ ...a, ...b }));

describe('a logo that is centred by its ink', () => {
  it('has it in the middle on each cut, whatever rules differ already', () => {
    fc.assert(
      fc.property(off, off, fc.array(when, { maxLength: 3 }), (portrait, landscape, rules) => {
        const both = { portrait, landscape };
        const after = withInkCentred(logo(rules.length > 0 ? { when: rules } : {}), both);
        // Less than a twentieth of a per cent of some 160 lu is not told apart.
        for (const c of [UPRIGHT, TURNED]) expect(inkOff(after, both, c)).toBeLessThan(0.1);
      }),
    );
  });

  it('needs no rule that differs where the ink of all cuts lies alike', () => {
    const one = { x: 0.1, y: -0.05 };
    const after = withInkCentred(logo(), { portrait: one, landscape: one });
    expect(after.when).toBeUndefined();
  });

  it('is as it was once its files are trimmed', () => {
    fc.assert(
      fc.property(off, off, (portrait, landscape) => {
        const both = { portrait, landscape };
        const back = withoutInkShifts(withInkCentred(logo(), both), both);
        const middle = { percent: 50, offset: percent(0) };
        expect(back.fit.align).toEqual({ kind: 'position', x: middle, y: middle } satisfies Fit['align']);
        expect(back.when).toBeUndefined();
      }),
    );
  });
});

describe('the ink of a picture', () => {
  const inkAt = (x: number, y: number, width: number, height: number) => ({
    by: 'alpha' as const,
    bounds: { x, y, width, height },
    centroid: { x: 0.5, y: 0.5 },
    colour: '#000000',
    border: null,
  });
  const ink = new Map([
    [file(1).hash, inkAt(0.1, 0.2, 0.5, 0.5)],
    [file(2).hash, inkAt(0.2, 0.1, 0.6, 0.4)],
    [file(3).hash, inkAt(0.4, 0.4, 0.2, 0.2)],
  ]);

  it('is each cut’s own, in light and dark together', () => {
    const parts = inkOfCuts(picture, ink);
    const portrait = parts.get('portrait')!;
    for (const [key, value] of Object.entries({ x: 0.1, y: 0.1, width: 0.7, height: 0.6 }))
      expect(portrait[key as 'x']).toBeCloseTo(value, 12);
    expect(parts.get('landscape')!.x).toBe(0.4);
    expect(parts.get('landscape')!.width).toBeCloseTo(0.2, 12);
    expect(inkOffOf(picture, parts)).toEqual({
      portrait: offMiddle({ bounds: portrait }),
      landscape: offMiddle({ bounds: parts.get('landscape')! }),
    });
    expect(inkOffOf(picture, new Map())).toBeNull();
  });

  it('is what each cut is trimmed to', () => {
    const made = new Map(
      [1, 2, 3].map((n) => [file(n).hash, { ...file(n), hash: String(n + 4).repeat(64) }]),
    );
    const marked = { ...picture, cuts: picture.cuts.map((c) => ({ ...c, focalPoint: { x: 0.5, y: 0.5 } })) };
    const after = trimmed(marked, inkOfCuts(picture, ink), made);
    expect(after.cuts.map((c) => c.renditions.map((r) => r.hash[0]))).toEqual([['5', '6'], ['7']]);
    expect(after.cuts[1]!.focalPoint.x).toBeCloseTo(0.5, 12);
    expect(after.cuts[0]!.focalPoint.x).toBeCloseTo((0.5 - 0.1) / 0.7, 12);
  });
});
