import type { Finding } from '../findings/finding';
import { foundCounts } from '../review/counts';
import type { Review } from '../review/schema';
import { differing } from './say';
import type { Since } from './schema';

type Found = Review['files'][number]['findings'][number];

/** A review with nothing in it but the findings that got worse since a sign-off, on the cases on which they did. */
export function onlyWorse(review: Review, since: Since): Review {
  const cases = new Map(
    differing(since, 'worse').map((d) => [
      `${d.source} ${d.in.id} ${d.id}`,
      new Set(d.cases.map((c) => c.caseId)),
    ]),
  );
  const left = <P extends { findings: Found[]; found: Review['files'][number]['found'] }>(part: P): P => {
    const findings = part.findings.flatMap((f) => {
      const on = cases.get(`${f.source} ${f.in.id} ${f.id}`);
      return on ? [{ ...f, cases: f.cases.filter((c) => on.has(c.caseId)) }] : [];
    });
    return { ...part, findings, found: foundCounts(findings as Pick<Finding, 'outcome'>[]) };
  };
  return {
    ...review,
    scenes: review.scenes.map(left),
    launches: review.launches.map(left),
    files: review.files.map(left),
  };
}
