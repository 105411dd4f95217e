import type { Case } from './cases';

/** Each screen counts as much as its weight says, spread over its cases; all of them together count 1. */
export function weightsOf(cases: readonly Case[]): Map<string, number> {
  const count = new Map<string, number>();
  for (const c of cases) count.set(c.screen.id, (count.get(c.screen.id) ?? 0) + 1);
  const total = [...new Set(cases.map((c) => c.screen))].reduce((sum, s) => sum + s.weight, 0);
  const even = 1 / Math.max(1, cases.length);
  return new Map(
    cases.map((c) => [c.id, total > 0 ? c.screen.weight / total / count.get(c.screen.id)! : even]),
  );
}
