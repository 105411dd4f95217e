import { sayOpenCases } from '@/core/findings/say-open';
import { foundCounts } from '@/core/review/counts';
import { sayWhat } from '@/core/review/say';
import type { Review, ReviewFinding } from '@/core/review/schema';
import { countCases } from '@/core/words/words';
import { failsFor, type FailOn, type ReviewFormat } from './format';
import { escapeXml } from './text/xml';

const attribute = (name: string, value: string | number) => ` ${name}="${escapeXml(String(value))}"`;

/** A scene, a launch or the files of all pictures, with its findings. */
interface Suite {
  name: string;
  findings: readonly ReviewFinding[];
  /** cases on which nothing is wrong; `null` of files */
  clear: number | null;
}

const suitesOf = ({ scenes, launches, files }: Review): Suite[] => [
  ...[...scenes, ...launches].map((s) => ({ name: s.name, findings: s.findings, clear: s.counts.clear })),
  { name: 'Files', findings: files.flatMap((f) => f.findings), clear: null },
];

function detail(f: ReviewFinding): string {
  const list = f.cases.filter((c) => c.accepted === undefined).map((c) => `${c.caseId}: ${c.value}`);
  return [f.said, ...list].join('\n');
}

/**
 * A finding that fails is a test that fails, so that there are as many of them as anywhere else. A warning is told beside its
 * test, and an accepted finding is left out with its reason.
 */
function testOf(f: ReviewFinding, suite: string, from: FailOn): string {
  const on = f.cases.length > 0 ? ` on ${sayOpenCases(f)}` : '';
  const head = `    <testcase${attribute('classname', suite)}${attribute('name', `${sayWhat(f)}${f.side ? `, ${f.side}` : ''}`)}${attribute('time', 0)}>\n`;
  const body = (): string => {
    if (f.accepted !== null) return `      <skipped>${escapeXml(`accepted: ${f.accepted}`)}</skipped>\n`;
    const message = `${f.said}${on}`;
    if (!failsFor(f, from))
      return `      <system-out>${escapeXml(`warning: ${message}\n${detail(f)}`)}</system-out>\n`;
    return `      <failure${attribute('message', message)}${attribute('type', f.outcome)}>${escapeXml(detail(f))}</failure>\n`;
  };
  return `${head}${body()}    </testcase>\n`;
}

const failuresIn = (findings: readonly ReviewFinding[], from: FailOn): number =>
  findings.filter((f) => f.accepted === null && failsFor(f, from)).length;

/** Without a finding, or for what is clear besides: that it was looked at. */
const cleared = ({ name, clear }: Suite): string =>
  `    <testcase${attribute('classname', name)}${attribute('name', clear === null ? 'everything else about the files' : `${countCases(clear)} without a finding`)}${attribute('time', 0)}/>\n`;

function suiteXml(suite: Suite, id: number, from: FailOn): string {
  const { name, findings } = suite;
  const failures = failuresIn(findings, from);
  const { accepted: skipped } = foundCounts(findings);
  const numbers = `${attribute('tests', findings.length + 1)}${attribute('failures', failures)}${attribute('errors', 0)}${attribute('skipped', skipped)}${attribute('time', 0)}`;
  return `  <testsuite${attribute('name', name)}${attribute('id', id)}${numbers}>\n${findings.map((f) => testOf(f, name, from)).join('')}${cleared(suite)}  </testsuite>\n`;
}

function junitOf(review: Review, from: FailOn): string {
  const suites = suitesOf(review);
  const all = suites.flatMap((s) => s.findings);
  const failures = failuresIn(all, from);
  const numbers = `${attribute('tests', all.length + suites.length)}${attribute('failures', failures)}${attribute('errors', 0)}${attribute('time', 0)}`;
  return `<?xml version="1.0" encoding="UTF-8"?>\n<testsuites${attribute('name', review.project.name)}${numbers}>\n${suites.map((s, i) => suiteXml(s, i, from)).join('')}</testsuites>\n`;
}

/** The XML in which builds tell of tests, as it is widely read: a suite for each scene and launch, and one for the files. */
export const reviewJunit = {
  id: 'junit',
  label: 'The findings as JUnit XML, for the list of tests of a build',
  word: 'JUnit',
  mediaType: 'application/xml',
  extension: '.xml',
  write: (review, from = 'fail') => junitOf(review, from),
} as const satisfies ReviewFormat;
