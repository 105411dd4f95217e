import { steps } from '@/core/explain/reason';
import { launchBecause, findInLaunch, type LaunchAsked, type LaunchFinding } from '@/core/launch/findings';
import { createLaunchSurvey } from '@/core/launch/survey';
import { targetsOf } from '@/core/project/launch';
import type { Review } from '@/core/review/schema';
import { caseName } from '@/core/screens/words';
import { byCause } from './by-cause';
import type { ReportedFinding, ReportedPart, Shot } from './report';
import { MOST_PICTURED, type Told } from './scene';
import { shotOf } from './shots';

/** The stage of a finding and the one after it, on the case where it is worst. */
async function handedOver(found: LaunchFinding, asked: LaunchAsked, { surfaces }: Told): Promise<Shot[]> {
  const { documents, launch, outside, cases } = asked;
  const c = cases.find(({ id }) => id === found.worst.caseId)!;
  const target = targetsOf(launch, c.screen).find((t) => (t?.id ?? null) === (found.worst.target ?? null));
  const stages = createLaunchSurvey(documents, launch, outside).on(c, target);
  const name = `${caseName(c)}, ${c.appearance}`;
  const shots: Shot[] = [];
  for (const { stage, result } of stages.slice(found.stage, found.stage + 2))
    if (result)
      shots.push(await shotOf(result, { caption: [name, documents.scenes[stage.scene]!.name] }, surfaces));
  return shots;
}

/** What is said of a launch. @param judged the launch in the review */
export async function reportLaunch(judged: Review['launches'][number], told: Told): Promise<ReportedPart> {
  const { documents, outside, cases, onStep } = told;
  const launch = documents.project.launches!.find(({ id }) => id === judged.id)!;
  const asked: LaunchAsked = { documents, launch, outside, cases };
  const { findings: found, kept } = findInLaunch(asked);
  const open = judged.findings.filter((f) => f.accepted === null);
  const findings: ReportedFinding[] = [];
  for (const [rank, finding] of open.entries()) {
    const own = found.find(({ id }) => id === finding.id)!;
    const why = steps(launchBecause({ ...asked, earlier: kept }, own)).map(({ reason, depth }) => ({
      text: reason.text,
      depth,
    }));
    const shots = rank < MOST_PICTURED ? await handedOver(own, asked, told) : [];
    findings.push({ finding, short: null, why, shots, mend: null });
    await onStep();
  }
  return { id: launch.id, telling: [], causes: byCause(findings) };
}
