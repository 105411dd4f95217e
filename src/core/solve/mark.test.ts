import fc from 'fast-check';
import { lossAt, VALLEY_MEASURES } from './valley';
import { casesOf } from '../screens/cases';
import { fillScreen } from '../placing/presets';
import { RATIO_FITS } from './ratio';
import { edgesOf, fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { lu, percent } from '../values/values';
import type { Limit } from '../measure/limit';
import { markOf, valleysOf } from './mark';
import { surveyCase, type SurveyInput } from '../survey/survey';

const cases = casesOf(SCREENS, ['light']);
const share = fc.integer({ min: 0, max: 100 });
const file = { widthPx: 1801, heightPx: 1200, density: 3 };
const keepAreas = [
  { subject: 'a', rect: { x: 0.1, y: 0.2, width: 0.2, height: 0.3 }, weight: 1 },
  { subject: 'b', rect: { x: 0.6, y: 0.5, width: 0.25, height: 0.2 }, weight: 1 },
];
const picture = {
  ...pictureOf('photo', file, { keepAreas }),
  cuts: [
    pictureOf('photo', file, { keepAreas }).cuts[0]!,
    pictureOf('photo', { widthPx: 900, heightPx: 1601, density: 3 }, { cut: 'portrait' }).cuts[0]!,
  ],
};

describe('marks', () => {
  it('that are solid lie on a curve that is worked out from the ratio alone', () => {
    const placings = fc.constantFrom(
      fillScreen(),
      { x: edgesOf('safe'), y: edgesOf('content') },
      {
        x: middleOf({ kind: 'length', length: percent(60) }),
        y: middleOf({ kind: 'length', length: lu(130) }),
      },
    );
    const fit = fc.record({ size: fc.constantFrom(...RATIO_FITS), x: share, y: share });
    const when = fc.option(fc.constantFrom({ orientation: 'portrait' as const }, { minWidth: 500 }));
    fc.assert(
      fc.property(fit, fit, when, placings, (usual, other, on, placing) => {
        const fitFrom = ({ size, x, y }: typeof usual) => fitOf(size, true, { x, y });
        const layer = pictureLayer(placing, {
          picture: 'photo',
          role: 'background',
          fit: fitFrom(usual),
          ...(on && { when: [{ ...on, fit: fitFrom(other) }] }),
        });
        const input = inputOf([layer], [picture]);
        const marks = cases.map((c) => markOf(surveyCase(input, c), input.scene)!);
        const valleys = valleysOf(marks, input.scene, input.pictures);
        expect(marks.some((m) => m.solid)).toBe(true);
        for (const mark of marks.filter((m) => m.solid)) {
          const [valley, ...more] = valleys.filter(
            (v) => v.own === mark.own && v.cut === mark.cut && v.rule === mark.rule,
          );
          expect(more).toEqual([]);
          expect(mark.ratio >= valley!.low && mark.ratio <= valley!.high).toBe(true);
          for (const measure of VALLEY_MEASURES)
            expect(Math.abs(lossAt(valley!, measure, mark.ratio) - mark.losses[measure])).toBeLessThan(1e-9);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('are judged by each measure by itself, and by everything else apart; what is accepted does not count', () => {
    const layer = pictureLayer(fillScreen(), {
      id: 'bg',
      picture: 'photo',
      role: 'background',
      fit: fitOf('cover'),
    });
    const limits: Limit[] = [
      { measure: 'crop', role: 'background', max: 0, outcome: 'fail' },
      { measure: 'enlargement', role: 'background', max: 0, outcome: 'warn' },
    ];
    const of = (more: Partial<SurveyInput> = {}) => {
      const input = { ...inputOf([layer], [picture]), limits, ...more };
      return markOf(surveyCase(input, cases[0]!), input.scene)!;
    };
    expect(of().outcomes).toEqual({ crop: 'fail', bare: 'clear', distortion: 'clear', 'keep-lost': 'clear' });
    expect(of().besides).toEqual({ crop: 'warn', bare: 'fail', distortion: 'fail', 'keep-lost': 'fail' });
    const accepted = [
      {
        scene: 's',
        layer: 'bg',
        measure: 'crop' as const,
        screens: [cases[0]!.screen.id],
        reason: 'As drawn',
      },
    ];
    expect(of({ accepted }).outcomes.crop).toBe('clear');
    expect(of({ accepted }).besides.bare).toBe('warn');
  });

  it('are off the curve where more than the ratio decides', () => {
    const solid = (more: Parameters<typeof pictureLayer>[1], placing = fillScreen()) => {
      const input = inputOf(
        [pictureLayer(placing, { picture: 'photo', role: 'background', ...more })],
        [picture],
      );
      return markOf(surveyCase(input, cases[0]!), input.scene)?.solid;
    };
    expect(solid({ fit: fitOf('cover') })).toBe(true);
    expect(solid({ fit: fitOf('cover', false) })).toBe(false);
    expect(solid({ fit: fitOf('natural') })).toBe(false);
    expect(solid({ fit: { ...fitOf('cover'), align: { kind: 'focal' } } })).toBe(false);
    const wide = { x: middleOf({ kind: 'length', length: percent(120) }), y: edgesOf('screen') };
    expect(solid({ fit: fitOf('cover') }, wide)).toBe(false);
    expect(solid({ fit: { ...fitOf('natural'), repeat: { x: 'repeat', y: 'repeat' } } })).toBeUndefined();
  });
});
