import { sayOpenCases } from '@/core/findings/say-open';
import { OUTCOMES } from '@/core/measure/judge';
import { OUTCOME_SHAPES } from '@/core/measure/words';
import { columns } from './columns';
import { sayWhat } from '@/core/review/say';
import type { Review, ReviewFinding } from '@/core/review/schema';
import { foundCounts } from '@/core/review/counts';
import { sayWeight } from '@/core/words/numbers';
import { countCases, countOf } from '@/core/words/words';

/** A line of the table: a name, and the figures after it. */
interface Row {
  name: string;
  counts: string[];
  found: string;
}

const sayFound = ({ fail, warn, accepted }: Review['files'][number]['found']) =>
  `${OUTCOME_SHAPES.fail} ${fail} ${OUTCOME_SHAPES.warn} ${warn}${accepted > 0 ? ` ✓ ${accepted}` : ''}`;

function rowsOf({ scenes, launches, files }: Review): Row[] {
  return [
    ...[...scenes, ...launches].map(({ name, counts, found }) => ({
      name,
      counts: OUTCOMES.map((o) => `${counts[o]}`),
      found: sayFound(found),
    })),
    {
      name: `Files of ${countOf(files.length, 'picture')}`,
      counts: OUTCOMES.map(() => '–'),
      found: sayFound(foundCounts(files.flatMap((f) => f.findings))),
    },
  ];
}

function sayFinding(f: ReviewFinding): string[] {
  const sign = f.accepted === null ? OUTCOME_SHAPES[f.outcome] : '✓';
  const on = f.cases.length === 0 ? '' : `: ${sayOpenCases(f)}, ${sayWeight(f.weight)} of the weight`;
  if (f.accepted !== null) return [`  ${sign} ${sayWhat(f)}, accepted: ${f.accepted}`];
  const where = f.worst.caseId === null ? '' : `, on ${f.worst.caseId}`;
  return [`  ${sign} ${sayWhat(f)}${on}`, `      ${f.cases.length > 0 ? 'at worst ' : ''}${f.said}${where}`];
}

/** The parts of a review that have findings, each with them. */
const partsOf = ({ scenes, launches, files }: Review) => [
  ...scenes,
  ...launches,
  { name: 'Files', findings: files.flatMap((f) => f.findings) },
];

/** A review as lines of text, for people and for the log of a build. */
export function verdictLines(review: Review): string[] {
  const { project, revision, screens, set, weightsFrom, cases, notChecked } = review;
  const of = set === undefined ? '' : ` of “${set}”`;
  const by = weightsFrom === undefined ? '' : `, weights from ${weightsFrom}`;
  const head = ['', ...OUTCOMES.map((o) => `${OUTCOME_SHAPES[o]} ${o}`), 'findings'];
  return [
    `${project.name}, revision ${revision}: ${countCases(cases)} on ${screens} screens${of}${by}`,
    '',
    ...columns([head, ...rowsOf(review).map((r) => [r.name, ...r.counts, r.found])]),
    ...partsOf(review).flatMap(({ name, findings }) =>
      findings.length > 0 ? ['', name, ...findings.flatMap(sayFinding)] : [],
    ),
    ...(notChecked.length > 0
      ? ['', 'Not checked', ...notChecked.map(({ what, why }) => `  ${what}: ${why}`)]
      : []),
  ];
}
