import type { Case } from '@/core/screens/cases';
import { KIND_GROUPS, kindGroupOf } from '@/core/screens/kinds';
import { distinctCases, type DistinctCase } from '@/core/screens/likeness';
import { isPortrait, orientationOf, turn } from '@/core/screens/turn';
import type { CaseSummary } from '@/core/solve/summary';
import type { Mark } from '@/core/solve/mark';
import { ratiosOf, type View } from '../state/view';

export interface CaseGroup {
  id: string;
  label: string;
  cases: DistinctCase[];
}

const ratio = (c: Case) => {
  const { width, height } = turn(c.screen, c.rotation).size;
  return width / height;
};

function matchesText(c: Case, text: string): boolean {
  const { label, width, height, id } = c.screen;
  const haystack = `${label} ${width}x${height} ${width}×${height} ${height}x${width} ${id}`.toLowerCase();
  return text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => haystack.includes(word));
}

/** What was found of the cases, as far as a filter asks for it. */
export interface Known {
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
    (!view.text || matchesText(c, view.text))
  );
}

const merged = (cases: readonly Case[]): DistinctCase[] =>
  distinctCases(cases).sort((a, b) => ratio(a.shown) - ratio(b.shown));

/**
 * The cases that a view asks for, in groups of kind × orientation, each sorted by aspect ratio. Landscape the
 * other way is merged into landscape where nothing tells the two apart.
 */
export function arrange(cases: readonly Case[], view: View, known: Known): CaseGroup[] {
  const groups = new Map<string, { label: string; order: number; cases: Case[] }>();
  for (const c of cases) {
    if (!passes(c, view, known)) continue;
    const kind = kindGroupOf(c.screen);
    const side = isPortrait(orientationOf(c.screen, c.rotation)) ? 'portrait' : 'landscape';
    const id = `${kind.id}-${side}`;
    const order = KIND_GROUPS.indexOf(kind) * 2 + (side === 'portrait' ? 0 : 1);
    const group = groups.get(id) ?? { label: `${kind.label}, ${side}`, order, cases: [] };
    group.cases.push(c);
    groups.set(id, group);
  }
  return [...groups]
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([id, { label, cases: members }]) => ({ id, label, cases: merged(members) }));
}
