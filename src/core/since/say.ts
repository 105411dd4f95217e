import { sayWhat } from '../review/say';
import { countCases, countOf } from '../words/words';
import type { CaseClasses, Difference, Direction, Since } from './schema';

export const differing = ({ differences }: Pick<Since, 'differences'>, direction: Direction): Difference[] =>
  differences.filter((d) => d.direction === direction);

export const DIRECTION_WORDS: Record<Direction, string> = {
  worse: 'got worse',
  better: 'got better',
  other: 'merely differ',
};

/** What becomes of cases, in words that stand over their numbers. */
export const CASE_CLASSES = [
  ['worse', 'worse'],
  ['better', 'only better'],
  ['differs', 'drawn otherwise, judged alike'],
  ['same', 'the same'],
  ['added', 'new'],
  ['gone', 'gone'],
] as const satisfies readonly (readonly [keyof CaseClasses, string])[];

/** Those that there are; whether any came or went is only said where some did. */
export const classesIn = (parts: Since['parts']): (typeof CASE_CLASSES)[number][] =>
  CASE_CLASSES.filter(([id]) => (id !== 'added' && id !== 'gone') || parts.some((p) => p.cases[id] > 0));

const things = (n: number) => countOf(n, 'thing');

/** What has become of a project since it was signed off, in one line. */
export function saySince(since: Since): { text: string; isWorse: boolean } {
  const [worse, better] = [differing(since, 'worse').length, differing(since, 'better').length];
  if (worse > 0) {
    const also = better > 0 ? `, ${better} got better` : '';
    return { text: `${things(worse)} got worse${also}`, isWorse: true };
  }
  if (better > 0) return { text: `Nothing got worse, ${things(better)} got better`, isWorse: false };
  if (since.changes.length === 0) return { text: 'Nothing was changed', isWorse: false };
  const moved = since.parts.some((p) => p.cases.differs + p.cases.added + p.cases.gone > 0);
  return { text: moved ? 'Nothing got worse' : 'Nothing that is seen was changed', isWorse: false };
}

/** “Harbour has a keep area cut off, on 31 cases” */
export function sayDifference(d: Difference): string {
  const on = d.cases.filter((c) => c.caseId !== null).length;
  return `${sayWhat(d)}${on > 0 ? `, on ${countCases(on)}` : ''}`;
}

/** Differences that come from the same changes. */
export interface ByCause {
  /** numbers of the changes */
  causes: number[];
  /** what was changed, in words */
  title: string;
  differences: Difference[];
}

/** Differences by what they come from, in the order in which they stand: the gravest first. */
export function byCause({ changes }: Pick<Since, 'changes'>, differences: readonly Difference[]): ByCause[] {
  const groups = new Map<string, ByCause>();
  for (const d of differences) {
    const key = d.causes.join(' ');
    const title = d.causes.map((i) => changes[i]!.title).join('; ') || 'Several changes together';
    const group = groups.get(key) ?? { causes: d.causes, title, differences: [] };
    group.differences.push(d);
    groups.set(key, group);
  }
  return [...groups.values()];
}
