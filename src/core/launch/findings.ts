import { isMore } from '../measure/accept';
import { byOutcome, worse, type Outcome } from '../measure/judge';
import type { Case } from '../screens/cases';
import { distinctCases } from '../screens/likeness';
import { weightsOf } from '../screens/weights';
import { faultKey, type LaunchFault } from './fault';
import { createFaults, type LaunchKept, type Launched } from './faults';
import { targetsOf, type Launch } from '../project/launch';
import { LAUNCH_RULES, launchOutcome, type LaunchAcceptance } from '../project/launch-limits';

/** One case on which a finding holds. */
export interface LaunchFoundOn {
  caseId: string;
  value: number;
  outcome: Outcome;
  /** why it is taken as it is there, where somebody has said so; it then does not count */
  accepted?: string;
}

export interface LaunchFinding extends Omit<LaunchFault, 'value' | 'say' | 'target'> {
  id: string;
  /** the worst of the cases on which it is not accepted */
  outcome: Outcome;
  worst: {
    caseId: string;
    value: number;
    /** of the target whose first window it is, where a screen has several by the version of its system */
    target?: string | null;
    said: string;
    because: string[];
  };
  on: LaunchFoundOn[];
  /** how much of all weight the cases have on which it is not accepted, 0..1 */
  weight: number;
  /** the reason for which it is accepted, where it is on all of its cases */
  accepted: string | null;
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

const acceptedOn = (launch: Launch, fault: LaunchFault, { id, screen }: Case) =>
  launch.accepted?.find(
    ({ given, ...a }) =>
      a.screens.includes(screen.id) &&
      acceptsFinding(a, fault, launch) &&
      (!given || given.some((g) => g.case === id && !isMore(fault.value, g.value))),
  )?.reason;

/** The cases on which a finding is not accepted. */
export const openCases = ({ on }: LaunchFinding): LaunchFoundOn[] => on.filter((f) => !f.accepted);

/** The worst case in words, and for which versions of the system it is so. */
function saidOfWorst({ say, target }: LaunchFault) {
  const { said, because } = say();
  if (target === undefined) return { said, because };
  const versions = target?.versions
    ? `This is so for ${target.name}, ${target.versions}.`
    : 'This is so for the other versions of the system.';
  return { said, because: [versions, ...because], target: target?.id ?? null };
}

interface Found extends LaunchFoundOn {
  fault: LaunchFault;
}

function findingOf(id: string, all: readonly Found[], weights: ReadonlyMap<string, number>): LaunchFinding {
  const { rule, stage, about } = all[0]!.fault;
  const open = all.filter((f) => !f.accepted);
  const { caseId, value, fault } = (open.length > 0 ? open : all).reduce((worst, f) =>
    f.value > worst.value ? f : worst,
  );
  return {
    id,
    rule,
    stage,
    about,
    outcome: open.reduce<Outcome>((o, f) => worse(o, f.outcome), 'clear'),
    worst: { caseId, value, ...saidOfWorst(fault) },
    on: all.map(({ fault: _, ...on }) => on),
    weight: open.reduce((sum, f) => sum + (weights.get(f.caseId) ?? 0), 0),
    accepted: open.length === 0 ? all[0]!.accepted! : null,
  };
}

/** What is wrong with a launch over all cases: gravest first, then in the order of the rules; what is accepted comes last. */
export function findInLaunch(asked: LaunchAsked): LaunchFound {
  const { launch, cases } = asked;
  const faults = createFaults(asked, asked.earlier ?? null);
  const weights = weightsOf(cases);
  const found = new Map<string, Found[]>();
  // Screens that are drawn alike may have different first windows.
  const firstWindows = ({ screen }: Case) =>
    targetsOf(launch, screen)
      .map((t) => t?.id ?? '')
      .join(' ');
  for (const { shown, alike } of distinctCases(cases, firstWindows)) {
    for (const fault of faults.on(shown)) {
      const { rule, value } = fault;
      const outcome = launchOutcome(launch, rule, value);
      if (outcome === 'clear') continue;
      const id = faultKey(fault);
      const group = found.get(id) ?? [];
      found.set(id, group);
      for (const c of [shown, ...alike]) {
        const accepted = acceptedOn(launch, fault, c);
        group.push({ caseId: c.id, value, outcome, fault, ...(accepted !== undefined && { accepted }) });
      }
    }
  }
  const order = (f: LaunchFinding) => LAUNCH_RULES.indexOf(f.rule);
  const findings = [...found]
    .map(([id, all]) => findingOf(id, all, weights))
    .toSorted((a, b) => byOutcome(a.outcome, b.outcome) || order(a) - order(b) || b.weight - a.weight);
  return { findings, kept: faults.kept() };
}

export const launchFindings = (asked: LaunchAsked): LaunchFinding[] => findInLaunch(asked).findings;
