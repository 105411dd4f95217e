import { byOutcome, worse, type Outcome } from '../measure/judge';
import type { Case } from '../screens/cases';
import type { Screen } from '../screens/screen';
import type { FoundOn } from './finding';
import type { SceneFinding } from './scene';

/** What is wrong on one screen, over its orientations and appearances. */
export interface ScreenFindings {
  screen: Screen;
  outcome: Outcome;
  found: { finding: SceneFinding; on: FoundOn[] }[];
}

/** Findings by the screens that they are on: the gravest first, then those with most, then the weightiest. */
export function byScreen(findings: readonly SceneFinding[], cases: readonly Case[]): ScreenFindings[] {
  const screens = new Map<string, ScreenFindings>();
  const screenOf = new Map(cases.map((c) => [c.id, c.screen]));
  for (const finding of findings) {
    for (const on of finding.cases) {
      const screen = screenOf.get(on.caseId);
      if (!screen) continue;
      const entry = screens.get(screen.id) ?? { screen, outcome: 'clear', found: [] };
      const own = entry.found.find((f) => f.finding === finding);
      if (own) own.on.push(on);
      else entry.found.push({ finding, on: [on] });
      if (on.accepted === undefined) entry.outcome = worse(entry.outcome, on.outcome);
      screens.set(screen.id, entry);
    }
  }
  return [...screens.values()].toSorted(
    (a, b) =>
      byOutcome(a.outcome, b.outcome) || b.found.length - a.found.length || b.screen.weight - a.screen.weight,
  );
}
