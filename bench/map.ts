import { DEMO_SCENE } from '../demo/documents';
import { coarseMap, mappingSizes, type SizeMap, type ToMap } from '../src/core/map/size-map';
import { rangeFor } from '../src/core/map/range';
import { nearestFailing } from '../src/core/map/nearest';
import { survey } from '../src/core/survey/survey';
import { halfWide } from '../src/core/testing/fonts';
import { median, report } from './measure';
import { demoPixels } from './pixels';
import { cases, sceneInput } from './survey';

const pixels = await demoPixels();
const RUNS = 5;
/** Corners of the squares of the coarse map. */
const WINDOWS = 49 * 37;

const medianOf = (work: () => void): number =>
  median(
    Array.from({ length: RUNS }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );

function last<P, T>(steps: Generator<P, T>): T {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** The map of all sizes, coarse and as fine as it gets, against a survey of as many cases as there are. */
export function benchMap(): void {
  const base = cases[0]!.screen;
  const asked: ToMap = { base, appearance: 'light', around: 'nothing', allowed: {}, range: rangeFor([]) };
  const light = cases.filter((c) => c.appearance === 'light');
  for (const scene of [DEMO_SCENE, 'winter-splash-mended']) {
    const input = { ...sceneInput(scene), fonts: halfWide, pixels };
    let map: SizeMap | null = null;
    const surveyMs = medianOf(() => void survey(input, light));
    const coarseMs = medianOf(() => void (map = coarseMap(input, asked)));
    report('coarse map of all sizes', 'ms', coarseMs, { scene, windows: WINDOWS });
    report(
      'coarse map ÷ a survey of all light cases, for each window',
      'ratio',
      coarseMs / WINDOWS / (surveyMs / light.length),
      { scene },
    );
    const fineMs = medianOf(() => void (map = last(mappingSizes(input, asked))));
    report('map of all sizes at rest', 'ms', fineMs, { scene, pieces: map!.pieces.length });
    report(
      'screens nearest to failing',
      'ms',
      medianOf(() => void last(nearestFailing(input, light, 3))),
      { scene },
    );
  }
}
