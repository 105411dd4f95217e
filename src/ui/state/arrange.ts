import type { Case } from '@/core/screens/cases';
import { OUTCOMES } from '@/core/measure/judge';
import { grouped, sideOf, tellingOf, withChosen, worstFirst } from '@/core/solve/alike';
import { KIND_GROUPS, kindGroupOf } from '@/core/screens/kinds';
import { distinctCases, type DistinctCase } from '@/core/screens/likeness';
import { orientationOf, turn } from '@/core/screens/turn';
import type { CaseSummary } from '@/core/solve/summary';
import type { Mark } from '@/core/solve/mark';
import { countCases } from '@/core/words/words';
import { OUTCOME_SHAPES } from '../words';
import { ratiosOf, type View } from './view';
import { matchesText } from '@/core/screens/search';

export interface CaseGroup {
  id: string;
  label: string;
  cases: DistinctCase[];
}

const ratio = (c: Case) => {
  const { width, height } = turn(c.screen, c.rotation).size;
  return width / height;
};

/** What was found of the cases, as far as a filter or an order asks for it. */
export interface Known {
  /** whether that is known yet */
  isMeasured: boolean;
  summaries: ReadonlyMap<string, CaseSummary>;
  marks: ReadonlyMap<string, Mark>;
  /** cases of the finding that a view is narrowed to; `null` where it is to none, or that is gone */
  found: ReadonlySet<string> | null;
}

const inRatios = (mark: Mark | undefined, range: ReturnType<typeof ratiosOf>) =>
  !range || (mark !== undefined && mark.ratio >= range.low && mark.ratio <= range.high);

function passes(c: Case, view: View, { summaries, marks, found }: Known): boolean {
  return (
    c.appearance === view.appearance &&
    (!view.kind || kindGroupOf(c.screen).id === view.kind) &&
    (!view.orientation || orientationOf(c.screen, c.rotation) === view.orientation) &&
    (!view.outcome || summaries.get(c.id)?.outcome === view.outcome) &&
    (!found || found.has(c.id)) &&
    inRatios(marks.get(c.id), ratiosOf(view)) &&
    (!view.text || matchesText(c.screen, view.text))
  );
}

const byRatio = (a: DistinctCase, b: DistinctCase) => ratio(a.shown) - ratio(b.shown);

/** Groups of kind × orientation, in the order in which people look at them. */
function byKind(cases: readonly Case[]): CaseGroup[] {
  const order = (c: Case) =>
    KIND_GROUPS.indexOf(kindGroupOf(c.screen)) * 2 + (sideOf(c) === 'portrait' ? 0 : 1);
  return [...grouped(cases, (c) => `${kindGroupOf(c.screen).id}-${sideOf(c)}`)]
    .toSorted(([, [a]], [, [b]]) => order(a!) - order(b!))
    .map(([id, members]) => ({
      id,
      label: `${kindGroupOf(members[0]!.screen).label}, ${sideOf(members[0]!)}`,
      cases: distinctCases(members).sort(byRatio),
    }));
}

/** What is not judged, as it lies outside the ratios that the project allows. */
const UNJUDGED = 'unjudged';

/** All cases of one outcome after another, the worst first. */
function byOutcomes(cases: readonly Case[], summaries: Known['summaries']): CaseGroup[] {
  const groups = grouped(cases, (c) => summaries.get(c.id)?.outcome ?? UNJUDGED);
  return [...OUTCOMES, UNJUDGED].flatMap((id) => {
    const members = groups.get(id);
    if (!members) return [];
    const label =
      id === UNJUDGED ? 'not counted' : `${OUTCOME_SHAPES[id as keyof typeof OUTCOME_SHAPES]} ${id}`;
    return [{ id, label, cases: distinctCases(members.toSorted(worstFirst(summaries))) }];
  });
}

/** The telling cases in the order that a view asks for. */
function telling(cases: readonly Case[], view: View, { summaries }: Known): CaseGroup[] {
  const shown = withChosen(tellingOf(cases, summaries), view.case);
  const ordered = view.sort === 'ratio' ? shown.toSorted(byRatio) : shown;
  return ordered.length > 0 ? [{ id: 'telling', label: 'Telling cases', cases: ordered }] : [];
}

/** Whether a view shows telling cases: what is searched for is shown each. */
export const isTelling = (view: View): boolean => view.cases === 'telling' && !view.text;

/** Whether what is found of the cases decides which of them are shown, or in which order. */
export const asksOutcomes = (view: View): boolean =>
  isTelling(view) || view.sort === 'worst' || view.outcome !== undefined;

/**
 * The cases that a view asks for: the telling ones, or all of them in groups, either by outcome with the worst first or by kind
 * × orientation in the order of their ratios. Landscape the other way is merged into landscape where nothing tells the
 * two apart.
 */
export function arrange(cases: readonly Case[], view: View, known: Known): CaseGroup[] {
  // An order that is not known yet would be taken back a moment later.
  if (asksOutcomes(view) && !known.isMeasured) return [];
  const shown = cases.filter((c) => passes(c, view, known));
  if (isTelling(view)) return telling(shown, view, known);
  if (view.sort === 'ratio') return byKind(shown);
  return byOutcomes(shown, known.summaries);
}

/** How many cases a group stands for. */
export const casesOfGroup = ({ cases }: CaseGroup): number =>
  cases.reduce((n, c) => n + 1 + c.alike.length, 0);

/** What is said of the cases that one stands for: “and 37 like it”. */
export const sayAlike = (alike: number): string => (alike === 0 ? '' : `and ${alike} like it`);

/** “51 cases” */
export const sayGroup = (group: CaseGroup): string => countCases(casesOfGroup(group));
