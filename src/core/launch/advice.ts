import { costsOf } from '../findings/costs';
import { openOn, score } from '../findings/finding';
import { findingsOf, type SceneFinding } from '../findings/scene';
import { runThrough, trying, type Helps, type Progress } from '../findings/trying';
import { Documents } from '../project/documents';
import { applyPatch, sameJson } from '../patch/patch';
import type { Scene } from '../scene/scene';
import { resultsOf, surveyAgain } from '../survey/again';
import type { Earlier } from '../survey/earlier';
import { survey, surveyInput } from '../survey/survey';
import { findInLaunch, launchFindings, type LaunchAsked, type LaunchFinding } from './findings';
import { weightsOf } from '../screens/weights';
import type { LaunchMend } from './mend-kit';
import { LAUNCH_MENDERS } from './mends';

/** A mend that was tried on all cases. */
export interface LaunchAdvice extends LaunchMend, Helps<LaunchFinding> {
  /** what gets worse in the scenes themselves, what is so on most cases first; scenes in which nothing does are left out */
  sceneCosts: { scene: Scene; costs: Helps<SceneFinding>['costs'] }[];
}

/** The documents and the findings after a mend; `null` where the launch cannot be drawn with it. */
function tried(asked: LaunchAsked, mend: LaunchMend) {
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

/** Which scenes a mend changes, and what it makes worse in each; one that it adds has nothing before it. */
function createSceneCosts({ documents, cases, outside }: LaunchAsked) {
  const inputOf = (d: Documents, scene: Scene) => surveyInput(d, scene, outside);
  const weights = weightsOf(cases);
  const known = new Map<string, { findings: SceneFinding[]; earlier: Earlier }>();
  const before = (scene: Scene) => {
    const was = known.get(scene.id);
    if (was) return was;
    const earlier = surveyAgain(inputOf(documents, scene), cases, null);
    const entry = { findings: findingsOf(scene, resultsOf(earlier, cases), cases), earlier };
    known.set(scene.id, entry);
    return entry;
  };
  return (after: Documents) => {
    let dear = 0;
    const sceneCosts = Object.values(after.scenes).flatMap((scene) => {
      const was = documents.scenes[scene.id];
      if (!was || sameJson(was, scene)) return [];
      const { findings, earlier } = before(was);
      const now = findingsOf(scene, survey(inputOf(after, scene), cases, earlier), cases);
      dear += Math.max(0, score(now, weights) - score(findings, weights));
      const costs = costsOf(findings, now, openOn).toSorted((a, b) => b.more - a.more);
      return costs.length > 0 ? [{ scene, costs }] : [];
    });
    return { sceneCosts, dear };
  };
}

/** Whether a window of the system no longer draws something that it drew: nobody can do there what is asked for. */
const leavesOut = (before: readonly LaunchFinding[], after: readonly LaunchFinding[]) =>
  after.some((f) => f.rule === 'outside-stage' && !before.some((b) => b.id === f.id));

/**
 * What would mend a finding of a launch: changes with which it is gone somewhere and less is wrong with the launch in
 * all. First those that help most, less what they cost in the scenes. Stops before each to say how far it is.
 */
export function* launchAdvising(
  asked: LaunchAsked,
  finding: LaunchFinding,
  newId: () => string,
  most = 6,
): Generator<Progress, LaunchAdvice[]> {
  const { findings: before, kept } = findInLaunch(asked);
  const sceneCostsOf = createSceneCosts(asked);
  return yield* trying({
    finding,
    before,
    weights: weightsOf(asked.cases),
    candidates: LAUNCH_MENDERS[finding.measure]({ ...asked, finding, newId }),
    after: (mend) => {
      const now = tried({ ...asked, earlier: kept }, mend);
      if (!now || leavesOut(before, now.findings)) return null;
      const { sceneCosts, dear } = sceneCostsOf(now.documents);
      return { findings: now.findings, more: { sceneCosts }, dear };
    },
    most,
  });
}

/** Advice on one finding of a launch, without a stop in between. */
export const launchAdvice = (
  asked: LaunchAsked,
  finding: LaunchFinding,
  newId: () => string,
  most?: number,
): LaunchAdvice[] => runThrough(launchAdvising(asked, finding, newId, most));
