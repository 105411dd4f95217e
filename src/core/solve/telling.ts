import { figureOf, LAYER_MEASURES } from '../measure/limit';
import type { Case } from '../screens/cases';
import { turnedSize } from '../screens/turn';
import type { CaseResult, PlacedResult } from '../survey/survey';

/** What reads each measure of a layer; of those that have sides the worst one. */
const READERS = LAYER_MEASURES.map((name) => figureOf(name));

/** Figures whose extremes are worth seeing: every measure there is. */
const figuresOf = ({ measures: m }: PlacedResult): (number | null)[] => [
  ...READERS.map((read) => read(m)),
  Math.max(...Object.values(m.subPixel)),
];

/** The cases on which some measure of some layer is greatest or least; of equals the first. */
function extremes(results: readonly CaseResult[]): Set<string> {
  const ends = new Map<string, { low: number; high: number; lowId: string; highId: string }>();
  for (const { id, layers } of results) {
    for (const layer of layers) {
      if (layer.kind === 'ground') continue;
      figuresOf(layer).forEach((value, i) => {
        if (value === null) return;
        const key = `${layer.id} ${i}`;
        const end = ends.get(key);
        if (!end) ends.set(key, { low: value, high: value, lowId: id, highId: id });
        else {
          if (value < end.low) Object.assign(end, { low: value, lowId: id });
          if (value > end.high) Object.assign(end, { high: value, highId: id });
        }
      });
    }
  }
  const told = [...ends.values()].filter((e) => e.high - e.low > 1e-9);
  return new Set(told.flatMap((e) => [e.lowId, e.highId]));
}

/** Where a case lies: by shape, size and density, each as a logarithm. */
function featuresOf(c: Case): number[] {
  const { width, height } = turnedSize(c.screen, c.rotation);
  return [Math.log(width / height), Math.log(width * height) / 2, Math.log(c.screen.density)];
}

const distance = (a: readonly number[], b: readonly number[]) => Math.hypot(...a.map((v, i) => v - b[i]!));

/**
 * A few cases that between them show the extremes of every measure: greedily the one farthest from those that are
 * taken, in log ratio, log size and log density, starting with the weightiest screen. Cases that differ in none of these
 * come last: an extreme may hang on insets alone.
 * @param results of the same cases, in any order
 */
export function tellingCases(cases: readonly Case[], results: readonly CaseResult[], most: number): Case[] {
  const wanted = extremes(results);
  const start = cases.reduce((a, b) => (b.screen.weight > a.screen.weight ? b : a), cases[0]!);
  const taken = [start];
  const rest = cases.filter((c) => wanted.has(c.id) && c !== start);
  const features = new Map([start, ...rest].map((c) => [c, featuresOf(c)]));
  const gap = (c: Case) => Math.min(...taken.map((t) => distance(features.get(t)!, features.get(c)!)));
  while (taken.length < most && rest.length > 0) {
    const next = rest.reduce((a, b) => (gap(b) > gap(a) ? b : a));
    taken.push(next);
    rest.splice(rest.indexOf(next), 1);
  }
  return taken;
}
