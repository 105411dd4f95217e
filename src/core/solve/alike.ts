import { byOutcome } from '../measure/judge';
import type { Case } from '../screens/cases';
import { kindGroupOf } from '../screens/kinds';
import type { DistinctCase } from '../screens/likeness';
import { isPortrait, orientationOf } from '../screens/turn';
import type { CaseSummary } from './summary';

type Summaries = ReadonlyMap<string, CaseSummary>;

export const sideOf = (c: Case) =>
  isPortrait(orientationOf(c.screen, c.rotation)) ? 'portrait' : 'landscape';

/** Things by a word that is worked out of each, in the order in which these first come. */
export function grouped<T>(all: readonly T[], keyOf: (c: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const c of all) {
    const key = keyOf(c);
    const group = groups.get(key);
    if (group) group.push(c);
    else groups.set(key, [c]);
  }
  return groups;
}

/** Orders cases with the worst first: by outcome, then by how far they are beyond a limit, then by weight. */
export const worstFirst =
  (summaries: Summaries) =>
  (a: Case, b: Case): number => {
    const [x, y] = [summaries.get(a.id), summaries.get(b.id)];
    if (!x || !y) return Number(!x) - Number(!y);
    const beyond = (y.headline?.beyond ?? 0) - (x.headline?.beyond ?? 0);
    return byOutcome(x.outcome, y.outcome) || beyond || b.screen.weight - a.screen.weight;
  };

/** What makes one case like another: screens of a kind, held alike, in one appearance, with the same thing worst on them. */
function alikeBy(c: Case, summaries: Summaries): string {
  const summary = summaries.get(c.id);
  const { layerId, measure } = summary?.headline ?? {};
  const kind = kindGroupOf(c.screen).id;
  return [kind, sideOf(c), c.appearance, summary?.outcome, layerId, measure].join(' ');
}

/** How much all the screens weigh that a case stands for. */
const weightOf = ({ shown, alike }: DistinctCase) =>
  [shown, ...alike].reduce((sum, c) => sum + c.screen.weight, 0);

/** Graver outcomes first, then what most people have. */
const gravestFirst =
  (summaries: Summaries) =>
  (a: DistinctCase, b: DistinctCase): number => {
    const [x, y] = [summaries.get(a.shown.id), summaries.get(b.shown.id)];
    if (!x || !y) return Number(!x) - Number(!y);
    return byOutcome(x.outcome, y.outcome) || weightOf(b) - weightOf(a);
  };

/**
 * The cases that tell most: of all that are alike, the worst one, with the others behind it. First the gravest that most people
 * have.
 */
export function tellingOf(cases: readonly Case[], summaries: Summaries): DistinctCase[] {
  const order = worstFirst(summaries);
  return [...grouped(cases, (c) => alikeBy(c, summaries)).values()]
    .map((members): DistinctCase => {
      const [shown, ...alike] = members.toSorted(order);
      return { shown: shown!, alike };
    })
    .sort(gravestFirst(summaries));
}

/** The same with one more case by itself at the end, where another one stands for it. @param id of that case */
export function withChosen(telling: readonly DistinctCase[], id: string | undefined): DistinctCase[] {
  const chosen = telling.flatMap((t) => t.alike).find((c) => c.id === id);
  if (!chosen) return [...telling];
  const others = telling.map((t) => ({ ...t, alike: t.alike.filter((c) => c !== chosen) }));
  return [...others, { shown: chosen, alike: [] }];
}
