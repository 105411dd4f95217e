import { reason, type Reason } from '../explain/reason';
import { inOrder, sumUp, type Finding, type JudgedOn } from '../findings/finding';
import { coversCase } from '../measure/accept';
import { Breach, gravestBreach } from '../measure/judge';
import { targetsOf, type Launch } from '../project/launch';
import {
  LAUNCH_LIMITS,
  LAUNCH_RULES,
  LAUNCH_WORDS,
  launchBounds,
  type LaunchAcceptance,
  type LaunchBounds,
  type LaunchRule,
} from '../project/launch-limits';
import type { Case } from '../screens/cases';
import { distinctCases } from '../screens/likeness';
import { weightsOf } from '../screens/weights';
import { runThrough } from '../findings/trying';
import { capitalised } from '../words/words';
import { faultKey, type LaunchFault } from './fault';
import { createFaults, type LaunchKept, type Launched } from './faults';

/** One thing that is wrong between the tap and the first screen. */
export interface LaunchFinding extends Finding {
  source: 'launch';
  rule: LaunchRule;
  measure: LaunchRule;
  /** of the stage, or of the earlier one of two */
  stage: number;
  /** of a layer, a picture or a bar, where there may be several */
  about: string;
  worst: Finding['worst'] & {
    caseId: string;
    /** of the target whose first window it is, where a screen has several by the version of its system */
    target?: string | null;
  };
}

export interface LaunchAsked extends Launched {
  cases: readonly Case[];
  /** what was found before an edit, with the same pixels */
  earlier?: LaunchKept | null;
}

/** What is wrong with a launch, and what is known of it for the next look. */
export interface LaunchFound {
  findings: LaunchFinding[];
  kept: LaunchKept;
}

/** Whether somebody has accepted the same thing on the same stage. */
export const acceptsFinding = (
  { rule, stage, about }: LaunchAcceptance,
  found: Pick<LaunchFault, 'rule' | 'stage' | 'about'>,
  { stages }: Launch,
): boolean => rule === found.rule && about === found.about && stage === stages[found.stage]?.id;

const acceptedOn = (launch: Launch, fault: LaunchFault, b: Breach<LaunchBounds>, { id, screen }: Case) =>
  launch.accepted?.find(
    (a) => acceptsFinding(a, fault, launch) && coversCase(a, b, { caseId: id, screenId: screen.id }),
  )?.reason;

/** For which versions of the system the worst case is so; none where it is so for all. */
function ofVersions({ target }: LaunchFault): string[] {
  if (target === undefined) return [];
  return [
    target?.versions
      ? `This is so for ${target.name}, ${target.versions}.`
      : 'This is so for the other versions of the system.',
  ];
}

interface Found extends JudgedOn<LaunchBounds> {
  fault: LaunchFault;
}

function findingOf(
  { documents, launch }: Launched,
  id: string,
  all: readonly Found[],
  weights: ReadonlyMap<string, number>,
): LaunchFinding {
  const { rule, stage, about } = all[0]!.fault;
  const { gravest, common } = sumUp<LaunchBounds, Found>(all, weights);
  const { target } = gravest.fault;
  const { id: stageId, scene } = launch.stages[stage]!;
  return {
    id,
    source: 'launch',
    in: { id: launch.id, name: launch.name },
    subject: { id: stageId, name: documents.scenes[scene]!.name },
    rule,
    word: LAUNCH_WORDS[rule],
    measure: rule,
    stage,
    about,
    ...common,
    worst: { ...common.worst, ...(target !== undefined && { target: target?.id ?? null }) },
    said: gravest.fault.say().said,
    hingesOn: [],
    approximate: 0,
  };
}

/** What is wrong on each case, by the finding that it belongs to. */
function* faultsBy(
  asked: LaunchAsked,
  on: (c: Case) => LaunchFault[],
): Generator<number, Map<string, Found[]>> {
  const { launch, cases } = asked;
  const found = new Map<string, Found[]>();
  // Screens that are drawn alike may have different first windows.
  const firstWindows = ({ screen }: Case) =>
    targetsOf(launch, screen)
      .map((t) => t?.id ?? '')
      .join(' ');
  const bounds = new Map(LAUNCH_RULES.map((rule) => [rule, launchBounds(launch, rule)]));
  let through = 0;
  for (const { shown, alike } of distinctCases(cases, firstWindows)) {
    for (const fault of on(shown)) {
      const id = faultKey(fault);
      const breach = gravestBreach(id, bounds.get(fault.rule)!, fault.value);
      if (!breach) continue;
      const group = found.get(id) ?? [];
      found.set(id, group);
      for (const c of [shown, ...alike]) {
        const accepted = acceptedOn(launch, fault, breach, c);
        const own = new Breach(id, breach.limit, breach.value, breach.by, accepted);
        group.push({ caseId: c.id, breach: own, fault });
      }
    }
    through += 1 + alike.length;
    yield through;
  }
  return found;
}

/**
 * What is wrong with a launch over all cases: gravest first, then in the order of the rules; what is accepted comes last.
 * Stops now and then to say how many cases it has been through.
 */
export function* findingInLaunch(asked: LaunchAsked): Generator<number, LaunchFound> {
  const faults = createFaults(asked, asked.earlier ?? null);
  const found = yield* faultsBy(asked, faults.on);
  const weights = weightsOf(asked.cases);
  const findings = [...found].map(([id, all]) => findingOf(asked, id, all, weights));
  return { findings: inOrder(findings, (f) => LAUNCH_RULES.indexOf(f.measure)), kept: faults.kept() };
}

export const findInLaunch = (asked: LaunchAsked): LaunchFound => runThrough(findingInLaunch(asked));

export const launchFindings = (asked: LaunchAsked): LaunchFinding[] => findInLaunch(asked).findings;

/** Why a finding of a launch is there, on the case where it is worst. */
export function launchBecause(asked: LaunchAsked, finding: LaunchFinding): Reason {
  const c = asked.cases.find((one) => one.id === finding.worst.caseId)!;
  const all = createFaults(asked, asked.earlier ?? null).on(c);
  const fault = all.find((f) => faultKey(f) === finding.id);
  const because = fault ? [...ofVersions(fault), ...fault.say().because] : [];
  return reason(
    `${capitalised(finding.said)}.`,
    [...because, LAUNCH_LIMITS[finding.measure].reason].map((text) => reason(text)),
  );
}
