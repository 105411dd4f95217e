import * as fc from 'fast-check';
import { DEFAULT_LIMITS } from '../measure/defaults';
import type { Rect } from '../geometry/rect';
import { fillScreen } from '../placing/presets';
import { casesOf } from '../screens/cases';
import { survey } from '../survey/survey';
import { fitOf, inputOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { smallestCanvas, templateOf } from './template';

const cases = casesOf(SCREENS, ['light']);
const some = fc.uniqueArray(fc.constantFrom(...SCREENS), {
  minLength: 1,
  maxLength: 8,
  selector: (s) => s.id,
});
const position = fc.record({ x: fc.integer({ min: 0, max: 100 }), y: fc.integer({ min: 0, max: 100 }) });
const ratio = fc.double({ min: 0.4, max: 2.5, noNaN: true });

/** The canvas as a picture, with one area of it that has to be seen. */
const composed = ({ width, height }: { width: number; height: number }, density: number, rect: Rect) =>
  pictureOf(
    'logo',
    { widthPx: Math.ceil(width * density), heightPx: Math.ceil(height * density), density },
    { keepAreas: [{ subject: 'It', rect, weight: 1 }] },
  );

describe('a template', () => {
  it('shows where a subject is kept on every screen of a set, under its fit', () => {
    fc.assert(
      fc.property(some, position, ratio, (screens, at, r) => {
        const own = casesOf(screens, ['light']);
        const fit = fitOf('cover', true, at);
        const { seen, canvas, density } = templateOf({ cases: own, fit, ratio: r });
        fc.pre(seen !== null && seen.width > 0.01 && seen.height > 0.01);
        const layer = pictureLayer(fillScreen(), { role: 'background', fit });
        const input = { ...inputOf([layer], [composed(canvas, density, seen!)]), limits: DEFAULT_LIMITS };
        const found = survey(input, own).flatMap((c) => c.breaches);
        expect(found.filter((b) => b.limit.measure === 'keep-lost')).toEqual([]);
      }),
    );
  });

  it('has no screen that enlarges its canvas, and none smaller would do', () => {
    fc.assert(
      fc.property(some, fc.option(ratio, { nil: undefined }), (screens, r) => {
        const own = casesOf(screens, ['light']);
        const canvas = smallestCanvas(own, r);
        const scaleOf = (size: { width: number; height: number }) => {
          const layer = pictureLayer(fillScreen(), { role: 'background', fit: fitOf('cover') });
          const input = inputOf(
            [layer],
            [pictureOf('logo', { widthPx: size.width * 10, heightPx: size.height * 10, density: 10 })],
          );
          return Math.max(
            ...survey(input, own).map((c) => {
              const [drawn] = c.layers;
              return drawn?.kind === 'picture' ? drawn.placement.scale.x : 0;
            }),
          );
        };
        expect(scaleOf(canvas)).toBeLessThanOrEqual(1 + 1e-9);
        expect(scaleOf(canvas)).toBeGreaterThan(1 - 1e-6);
      }),
    );
  });

  it('says what every screen and what some screen sees, and where cutouts lie', () => {
    const { seen, safe, views, cutouts, canvas, cases: count } = templateOf({ cases, fit: fitOf('cover') });
    expect(canvas).toEqual({ width: 1920, height: 1400 });
    expect(count).toBe(cases.length);
    expect(cutouts.length).toBeGreaterThan(10);
    for (const view of views) {
      expect(view.x).toBeLessThanOrEqual(seen!.x + 1e-9);
      expect(view.x + view.width).toBeGreaterThanOrEqual(seen!.x + seen!.width - 1e-9);
    }
    expect(safe!.height).toBeLessThan(seen!.height);
    // All of the canvas is on a screen when it is shown whole.
    const whole = templateOf({ cases, fit: fitOf('contain') }).seen!;
    expect([whole.x, whole.y]).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)]);
    expect([whole.width, whole.height]).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)]);
    expect(templateOf({ cases: [], fit: fitOf('cover') })).toMatchObject({ seen: null, views: [] });
  });
});
