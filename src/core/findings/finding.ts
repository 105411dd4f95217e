import { byOutcome, worse, type Bounds, type Breach, type Outcome } from '../measure/judge';
import type { MeasureSide } from '../measure/limit';
import type { Reason } from '../explain/reason';

/** What a finding is of: a scene by itself, the way from the tap to the first screen, or the files of a picture. */
export const SOURCES = ['scene', 'launch', 'files'] as const;
export type Source = (typeof SOURCES)[number];

export interface Named {
  id: string;
  name: string;
}

/** One case on which a finding holds. */
export interface FoundOn {
  caseId: string;
  value: number;
  /** by how much the limit is passed, in the unit of the measure, > 0 */
  by: number;
  outcome: Bounds['outcome'];
  /** why it is taken as it is there, where somebody has said so; it then does not count */
  accepted?: string;
}

/** One thing that is wrong with one subject, on however many cases. It is plain data. */
export interface Finding {
  /** stays the same for as long as it is the same thing on the same subject */
  id: string;
  source: Source;
  /** the scene, the launch or the picture */
  in: Named;
  /** the layer, the stage or the set of files; `bar:…` of a bar, `scene` of a scene as a whole */
  subject: Named;
  /** what is wrong, such as `over-cropped` */
  rule: string;
  /** the same in words that stand after the name of the subject */
  word: string;
  measure: string;
  side?: MeasureSide;
  /** the worst of all its cases that are not accepted */
  outcome: Outcome;
  /** those that it breaks, each once, as they are first met */
  limits: Bounds[];
  /** none where it holds whatever the screen is */
  cases: FoundOn[];
  /** how much of all weight the cases have on which it is not accepted, 0..1 */
  weight: number;
  worst: {
    /** the case on which the limit is passed by most; `null` without cases */
    caseId: string | null;
    value: number;
    limit: Bounds;
  };
  /** the worst in words, with its figures */
  said: string;
  /** the approximate figures of screens that it hinges on, by their names */
  hingesOn: string[];
  /** number of its cases that hinge on them */
  approximate: number;
  /** the reason for which it is accepted, where it is on all of its cases */
  accepted: string | null;
  /** the part of a rule that causes it, where one does */
  part?: NonNullable<Reason['part']>;
}

/** One case of something that is wrong, as it was judged. */
export interface JudgedOn<L extends Bounds> {
  caseId: string;
  breach: Breach<L>;
}

/** Values that differ by less than this part of themselves are the same: their last bits hang on who works them out. */
const SAME = 1e-9;

const isGraver = ({ breach: a }: JudgedOn<Bounds>, { breach: b }: JudgedOn<Bounds>): boolean => {
  const order = byOutcome(a.limit.outcome, b.limit.outcome);
  return order === 0 ? a.by > b.by + SAME * Math.abs(b.by) : order < 0;
};

/** The first of the gravest, in one pass. */
const gravestOf = <J extends JudgedOn<Bounds>>(on: readonly J[]): J =>
  on.reduce((worst, one) => (isGraver(one, worst) ? one : worst));

/**
 * What all cases of one finding come to: its outcome, its weight, where it is worst, and why it is accepted.
 * @param on at least one
 * @param weights of all cases
 */
export function sumUp<L extends Bounds, J extends JudgedOn<L>>(
  on: readonly J[],
  weights: ReadonlyMap<string, number>,
) {
  const open = on.filter(({ breach }) => breach.accepted === undefined);
  const worst = gravestOf(open.length > 0 ? open : on);
  const { limit, value } = worst.breach;
  return {
    /** with whatever else is known of it */
    gravest: worst,
    common: {
      outcome: open.reduce<Outcome>((o, { breach }) => worse(o, breach.limit.outcome), 'clear'),
      limits: [...new Set(on.map(({ breach }) => breach.limit))],
      cases: on.map(({ caseId, breach: b }): FoundOn => {
        const { accepted } = b;
        const { outcome } = b.limit;
        return { caseId, value: b.value, by: b.by, outcome, ...(accepted !== undefined && { accepted }) };
      }),
      weight: open.reduce((sum, { caseId }) => sum + (weights.get(caseId) ?? 0), 0),
      worst: { caseId: worst.caseId, value, limit },
      accepted: open.length === 0 ? on[0]!.breach.accepted! : null,
    },
  };
}

/**
 * Gravest first, then the weightiest; what is accepted everywhere comes last.
 * @param order of those that are alike grave, before their weight
 */
export const inOrder = <F extends Finding>(findings: readonly F[], order: (f: F) => number = () => 0): F[] =>
  findings.toSorted((a, b) => byOutcome(a.outcome, b.outcome) || order(a) - order(b) || b.weight - a.weight);

/** The cases of a finding that nobody has accepted. */
export const openCases = ({ cases }: Pick<Finding, 'cases'>): FoundOn[] =>
  cases.filter((c) => c.accepted === undefined);

/** On how many cases a finding is that nobody has accepted; of none, 0. */
export const openOn = (f: Pick<Finding, 'cases'> | undefined): number => (f ? openCases(f).length : 0);

/** What a failure counts beside a warning. */
const gravityOf = ({ outcome }: { outcome: Outcome }): number => (outcome === 'fail' ? 2 : 1);

/**
 * How much is wrong in all: the weight of each finding on each case, failures twice.
 * @param weights of all cases, as `weightsOf` gives them
 */
export function score(findings: readonly Finding[], weights: ReadonlyMap<string, number>): number {
  // A case of no weight at all still counts for something: an unpopular screen is a screen.
  const least = 1 / (100 * Math.max(1, weights.size));
  const ofOne = (f: Finding) =>
    openCases(f).reduce((sum, on) => sum + (least + (weights.get(on.caseId) ?? 0)) * gravityOf(on), 0);
  return findings.reduce((sum, f) => sum + ofOne(f), 0);
}
