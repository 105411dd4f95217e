import type { Mend } from '../findings/mend';
import { Documents } from '../scene/documents';
import { applyPatch } from '../scene/patch';
import { findInLaunch, launchFindings, type LaunchAsked, type LaunchFinding } from './findings';
import { LAUNCH_MENDERS } from './mends';

/** A mend that was tried on all cases. */
export interface LaunchAdvice extends Mend {
  /** number of cases on which the finding is gone, of those on which it was */
  clears: number;
  /** other findings of the launch that are new or on more cases, with how many more */
  costs: { finding: LaunchFinding; more: number }[];
}

/** The findings after a mend; `null` where the launch cannot be drawn with it. */
function tried(asked: LaunchAsked, mend: Mend): LaunchFinding[] | null {
  const parsed = Documents.safeParse(applyPatch(asked.documents, mend.patch));
  const launch = parsed.data?.project.launches?.find((l) => l.id === asked.launch.id);
  if (!parsed.success || !launch) return null;
  try {
    return launchFindings({ ...asked, documents: parsed.data, launch });
  } catch {
    // A rule that closes a circle, or leans on a layer that has gone.
    return null;
  }
}

/** How much is wrong in all: cases of each finding, failures twice. */
const score = (findings: readonly LaunchFinding[]) =>
  findings.reduce((sum, f) => sum + f.on.reduce((own, o) => own + (o.outcome === 'fail' ? 2 : 1), 0), 0);

/** What would mend a finding of a launch: changes with which it is gone somewhere and less is wrong in all. */
export function launchAdvice(
  asked: LaunchAsked,
  finding: LaunchFinding,
  newId: () => string,
): LaunchAdvice[] {
  const { findings: before, kept } = findInLaunch(asked);
  return LAUNCH_MENDERS[finding.rule]({ ...asked, finding, newId })
    .flatMap((mend) => {
      const after = tried({ ...asked, earlier: kept }, mend);
      if (!after) return [];
      const gain = score(before) - score(after);
      const clears = finding.on.length - (after.find((f) => f.id === finding.id)?.on.length ?? 0);
      if (gain <= 0 || clears <= 0) return [];
      const costs = after.flatMap((f) => {
        const more = f.on.length - (before.find((b) => b.id === f.id)?.on.length ?? 0);
        return more > 0 ? [{ finding: f, more }] : [];
      });
      return [{ ...mend, clears, costs, gain }];
    })
    .toSorted((a, b) => b.gain - a.gain)
    .map(({ gain: _gain, ...advice }) => advice);
}
