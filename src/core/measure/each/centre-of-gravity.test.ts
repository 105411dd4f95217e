import fc from 'fast-check';
import { because } from '../../findings/because';
import { findingsOf } from '../../findings/scene';
import { steps } from '../../explain/reason';
import { filePixelsOf } from '../../pixels/file';
import { casesOf } from '../../screens/cases';
import { survey } from '../../survey/survey';
import { fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '../../testing/scenes';
import { lu } from '../../values/values';
import { DEFAULT_LIMITS } from '../defaults';
import { figureOf } from '../limit';
import { centreOfGravity } from './centre-of-gravity';

const HASH = 'a'.repeat(64);
const cases = casesOf(SCREENS.slice(0, 2), ['light']);

/** A see-through file of 20 × 10 px of which one rectangle is ink. */
function inkAt(x: number, y: number, width: number, height: number) {
  const data = new Uint8Array(20 * 10 * 4);
  for (let row = y; row < y + height; row++)
    for (let column = x; column < x + width; column++) data.set([200, 30, 30, 255], (row * 20 + column) * 4);
  return new Map([[HASH, filePixelsOf({ width: 20, height: 10, data })]]);
}

/** A logo of 200 × 100 lu in a box of 240 × 100, with the file’s ink in one place. */
function measured(pixels: ReturnType<typeof inkAt>, fit = fitOf('contain')) {
  const layer = pictureLayer(
    {
      x: middleOf({ kind: 'length', length: lu(240) }),
      y: middleOf({ kind: 'length', length: lu(100) }),
    },
    { fit },
  );
  const picture = pictureOf('logo', { widthPx: 400, heightPx: 200, density: 2 });
  const input = { ...inputOf([layer], [picture]), pixels, limits: DEFAULT_LIMITS };
  const results = survey(input, cases);
  const { measures } = results[0]!.layers.find((l) => l.kind === 'picture')!;
  return { input, results, value: figureOf('centre-of-gravity')(measures) };
}

describe('the centre of gravity of a logo', () => {
  it('is as far from the middle of its box as the middle of a rectangle of ink, on the worse axis', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 18 }),
        fc.integer({ min: 0, max: 8 }),
        fc.integer({ min: 1, max: 2 }),
        (x, y, size) => {
          // 10 lu drawn per px of the file; the box is centred on the drawing.
          const off = [(x + size / 2 - 10) * 10, (y + size / 2 - 5) * 10].map(Math.abs);
          expect(measured(inkAt(x, y, size, size)).value).toBeCloseTo(Math.max(...off), 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('is not told without ink, of what repeats, or along an axis on which it was put aside', () => {
    expect(measured(inkAt(0, 0, 0, 0)).value).toBeNull();
    expect(measured(new Map()).value).toBeNull();
    const tiled = { ...fitOf('contain'), repeat: { x: 'repeat', y: 'repeat' } as const };
    expect(measured(inkAt(0, 0, 4, 4), tiled).value).toBeNull();
    // At the left of its box only what is off up or down counts.
    const left = fitOf('contain', true, { x: 0, y: 50 });
    expect(measured(inkAt(16, 0, 4, 4), left).value).toBeCloseTo(30, 6);
  });

  it('is found beyond its limit, with both axes said', () => {
    const { input, results } = measured(inkAt(0, 2, 8, 8));
    const found = findingsOf(input.scene, results, cases);
    const finding = found.find((f) => f.measure === 'centre-of-gravity')!;
    expect(finding).toMatchObject({ rule: 'off-balance', outcome: 'warn', worst: { value: 60 } });
    expect(finding.said).toBe('centre of gravity off by 60 lu; limit: 16 lu');
    const why = steps(because(input, finding, cases)).map((s) => s.reason.text);
    expect(why).toContain('Its ink is heaviest 60 lu to the left and 10 lu below of its box’s middle.');
    expect(centreOfGravity.limits[0]!.reason).not.toBe('');
    const even = measured(inkAt(6, 1, 8, 8));
    expect(findingsOf(even.input.scene, even.results, cases).map((f) => f.measure)).not.toContain(
      'centre-of-gravity',
    );
  });
});
