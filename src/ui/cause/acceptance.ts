import { findCase } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import type { OpenScreen } from './AcceptForm';

/** A case that something is wrong on, and why that is accepted there, where it is. */
export interface MaybeAccepted {
  caseId: string;
  accepted?: string | undefined;
}

/** What is open and what is accepted of a finding. */
export function acceptanceOf(on: readonly MaybeAccepted[], screens: readonly Screen[]) {
  const open = new Map<string, OpenScreen>();
  const reasons = new Map<string, number>();
  for (const { caseId, accepted } of on) {
    if (accepted !== undefined) {
      reasons.set(accepted, (reasons.get(accepted) ?? 0) + 1);
      continue;
    }
    const screen = findCase(caseId, screens)?.screen;
    if (!screen) continue;
    const known = open.get(screen.id);
    open.set(screen.id, { screen, cases: (known?.cases ?? 0) + 1 });
  }
  return {
    open: [...open.values()],
    accepted: [...reasons].map(([reason, cases]) => ({ reason, cases })),
  };
}

/** Those of the cases that are on one of the chosen screens. */
export const onScreens = <T extends { caseId: string }>(
  on: readonly T[],
  chosen: readonly string[],
  screens: readonly Screen[],
): T[] => on.filter(({ caseId }) => chosen.includes(findCase(caseId, screens)?.screen.id ?? ''));
