import { openOn } from '../findings/advise';
import { costsOf } from '../findings/costs';
import { findingsOf, type Finding } from '../findings/finding';
import type { Outcome } from '../measure/judge';
import { Documents } from '../project/documents';
import { applyPatch, sameJson } from '../patch/patch';
import type { Scene } from '../scene/scene';
import { resultsOf, surveyAgain } from '../survey/again';
import type { Earlier } from '../survey/earlier';
import { survey, surveyInput } from '../survey/survey';
import { findInLaunch, launchFindings, openCases, type LaunchAsked, type LaunchFinding } from './findings';
import type { LaunchMend } from './mend-kit';
import { LAUNCH_MENDERS } from './mends';

/** A mend that was tried on all cases. */
export interface LaunchAdvice extends LaunchMend {
  /** number of cases on which the finding is gone, of those on which it was */
  clears: number;
  /** other findings of the launch that are new or on more cases, with how many more */
  costs: { finding: LaunchFinding; more: number }[];
  /** the same of the scenes themselves, what is so on most cases first; scenes in which nothing gets worse are left out */
  sceneCosts: { scene: Scene; costs: { finding: Finding; more: number }[] }[];
}

interface Tried {
  documents: Documents;
  findings: LaunchFinding[];
}

/** The documents and the findings after a mend; `null` where the launch cannot be drawn with it. */
function tried(asked: LaunchAsked, mend: LaunchMend): Tried | null {
  const parsed = Documents.safeParse(applyPatch(asked.documents, mend.patch));
  const launch = parsed.data?.project.launches?.find((l) => l.id === asked.launch.id);
  if (!parsed.success || !launch) return null;
  try {
    const documents = parsed.data;
    return { documents, findings: launchFindings({ ...asked, documents, launch }) };
  } catch {
    // A rule that closes a circle, or leans on a layer that has gone.
    return null;
  }
}

const casesOf = (f: LaunchFinding | undefined) => (f ? openCases(f).length : 0);

const sum = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0);

/** What one case counts: a failure twice. */
const weigh = ({ outcome }: { outcome: Outcome }) => (outcome === 'fail' ? 2 : 1);

/** How much is wrong in all: cases of each finding on which it is not accepted, failures twice. */
const score = (findings: readonly LaunchFinding[]) => sum(findings.flatMap((f) => openCases(f).map(weigh)));

/** Which scenes a mend changes, and what it makes worse in each; one that it adds has nothing before it. */
function createSceneCosts({ documents, cases, outside }: LaunchAsked) {
  const inputOf = (d: Documents, scene: Scene) => surveyInput(d, scene, outside);
  const known = new Map<string, { findings: Finding[]; earlier: Earlier }>();
  const before = (scene: Scene) => {
    const was = known.get(scene.id);
    if (was) return was;
    const earlier = surveyAgain(inputOf(documents, scene), cases, null);
    const entry = { findings: findingsOf(resultsOf(earlier, cases), cases), earlier };
    known.set(scene.id, entry);
    return entry;
  };
  return (after: Documents): LaunchAdvice['sceneCosts'] =>
    Object.values(after.scenes).flatMap((scene) => {
      const was = documents.scenes[scene.id];
      if (!was || sameJson(was, scene)) return [];
      const { findings, earlier } = before(was);
      const now = findingsOf(survey(inputOf(after, scene), cases, earlier), cases);
      const costs = costsOf(findings, now, openOn).toSorted((a, b) => b.more - a.more);
      return costs.length > 0 ? [{ scene, costs }] : [];
    });
}

/** Whether a window of the system no longer draws something that it drew: nobody can do there what is asked for. */
const leavesOut = (before: readonly LaunchFinding[], after: readonly LaunchFinding[]) =>
  after.some((f) => f.rule === 'outside-stage' && !before.some((b) => b.id === f.id));

/**
 * What would mend a finding of a launch: changes with which it is gone somewhere and less is wrong with the launch in
 * all. First those that help most, less what they cost in the scenes.
 */
export function launchAdvice(
  asked: LaunchAsked,
  finding: LaunchFinding,
  newId: () => string,
  most = 6,
): LaunchAdvice[] {
  const { findings: before, kept } = findInLaunch(asked);
  const total = score(before);
  const sceneCostsOf = createSceneCosts(asked);
  return LAUNCH_MENDERS[finding.rule]({ ...asked, finding, newId })
    .flatMap((mend) => {
      const after = tried({ ...asked, earlier: kept }, mend);
      if (!after || leavesOut(before, after.findings)) return [];
      const gain = total - score(after.findings);
      const clears = casesOf(finding) - casesOf(after.findings.find((f) => f.id === finding.id));
      if (gain <= 0 || clears <= 0) return [];
      const costs = costsOf(before, after.findings, casesOf);
      const sceneCosts = sceneCostsOf(after.documents);
      const inScenes = sceneCosts.flatMap((s) => s.costs);
      const dear = sum(inScenes.map(({ finding: f, more }) => weigh(f) * more));
      return [{ advice: { ...mend, clears, costs, sceneCosts }, gain: gain - dear }];
    })
    .toSorted((a, b) => b.gain - a.gain)
    .slice(0, most)
    .map(({ advice }) => advice);
}
