import { costsOf } from './costs';
import { openOn, score, type Finding } from './finding';

/** How many of the changes that could mend a finding were tried. */
export interface Progress {
  tried: number;
  of: number;
}

/** What a mend does that was tried on all cases. */
export interface Helps<F extends Finding> {
  /** number of cases on which the finding is gone, of those on which it was */
  clears: number;
  /** the figure of the finding where it is worst with it; `null` where it is gone */
  worst: number | null;
  /** findings that are new or on more cases than before, with how many more */
  costs: { finding: F; more: number }[];
  /** how much less is wrong in all; larger is better */
  gain: number;
}

/** What is so after a mend. */
export interface After<F extends Finding, M> {
  findings: readonly F[];
  /** what else is known of it */
  more: M;
  /** how much more is wrong elsewhere, which makes it less welcome */
  dear?: number;
}

interface Asked<F extends Finding, C, M> {
  finding: F;
  /** everything that is wrong now */
  before: readonly F[];
  /** of all cases */
  weights: ReadonlyMap<string, number>;
  candidates: readonly C[];
  /** `null` where nothing can be drawn with it, or nobody can do it */
  after: (candidate: C) => After<F, M> | null;
  most: number;
}

/** Less gain than this is the last bits of sums. */
const ROUNDING = 1e-9;

/**
 * Tries changes one after another, and keeps those with which a finding is gone on some case and less is wrong in all, the
 * best first. Stops before each to say how far it is.
 */
export function* trying<F extends Finding, C extends object, M extends object>(
  asked: Asked<F, C, M>,
): Generator<Progress, (C & Helps<F> & M)[]> {
  const { finding, before, weights, candidates, after } = asked;
  const total = score(before, weights);
  const found: { advice: C & Helps<F> & M; rank: number }[] = [];
  for (const [i, candidate] of candidates.entries()) {
    yield { tried: i, of: candidates.length };
    const then = after(candidate);
    if (!then) continue;
    const gain = total - score(then.findings, weights);
    const left = then.findings.find((f) => f.id === finding.id);
    const clears = openOn(finding) - openOn(left);
    if (clears <= 0 || gain <= ROUNDING) continue;
    const costs = costsOf(before, then.findings, openOn);
    found.push({
      advice: {
        ...candidate,
        clears,
        worst: openOn(left) > 0 ? left!.worst.value : null,
        costs,
        gain,
        ...then.more,
      },
      rank: gain - (then.dear ?? 0),
    });
  }
  return found
    .toSorted((a, b) => b.rank - a.rank)
    .slice(0, asked.most)
    .map(({ advice }) => advice);
}

/** Runs a generator to its end, without a stop in between. */
export function runThrough<T>(steps: Generator<unknown, T>): T {
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
