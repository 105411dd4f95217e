import { sayOpenCases } from '@/core/findings/say-open';
import { allFindings } from '@/core/review/counts';
import { sayWhat } from '@/core/review/say';
import type { Review, ReviewFinding } from '@/core/review/schema';
import { sayWeight } from '@/core/words/numbers';
import { PROJECT_FILE, sceneFile } from './folder';
import type { ReviewFormat } from './format';

const LEVELS = { fail: 'error', warn: 'warning', clear: 'note' } as const;

/** The worst limit that a finding breaks, also where all of it is accepted. */
const levelOf = ({ outcome, worst }: ReviewFinding) =>
  LEVELS[outcome === 'clear' ? worst.limit.outcome : outcome];

/** The document of the folder form in which the cause stands. */
const fileOf = ({ source, in: of }: ReviewFinding): string =>
  source === 'scene' ? sceneFile(of.id) : PROJECT_FILE;

/** Where in the documents the cause stands, as a JSON Pointer. Source: RFC 6901. */
function pointerOf({ part }: ReviewFinding): string | null {
  if (!part?.layerId) return null;
  const escaped = part.path.map((key) => String(key).replaceAll('~', '~0').replaceAll('/', '~1'));
  return [part.layerId, ...escaped].join('/');
}

function messageOf(f: ReviewFinding): string {
  const on = f.cases.length > 0 ? ` On ${sayOpenCases(f)}, ${sayWeight(f.weight)} of the weight.` : '';
  const where = f.worst.caseId === null ? '' : ` (${f.worst.caseId})`;
  return `${sayWhat(f)}. ${f.cases.length > 0 ? 'At worst ' : ''}${f.said}${where}.${on}`;
}

function resultOf(f: ReviewFinding): object {
  const pointer = pointerOf(f);
  return {
    ruleId: f.rule,
    level: levelOf(f),
    message: { text: messageOf(f) },
    locations: [
      {
        physicalLocation: { artifactLocation: { uri: fileOf(f), uriBaseId: 'PROJECT' } },
        logicalLocations: [
          { name: f.in.name, kind: f.source === 'files' ? 'resource' : 'module' },
          {
            name: f.subject.name,
            fullyQualifiedName: pointer ?? `${f.in.id}/${f.subject.id}`,
            kind: 'element',
          },
        ],
      },
    ],
    partialFingerprints: { 'finding/v1': f.id },
    ...(f.accepted !== null && {
      suppressions: [{ kind: 'external', status: 'accepted', justification: f.accepted }],
    }),
    properties: {
      measure: f.measure,
      cases: f.cases.filter((c) => c.accepted === undefined).map((c) => c.caseId),
      weight: f.weight,
    },
  };
}

/** What a rule is of, before what is wrong: “Scene: cropped too much”, “Launch: flash”. */
const RULE_OF = { scene: 'Scene', launch: 'Launch', files: 'File' } as const;
const titleOf = ({ source, word }: ReviewFinding) =>
  `${RULE_OF[source]}: ${word.charAt(0).toLowerCase()}${word.slice(1)}`;

/** Every rule that is broken, once. */
const rulesOf = (findings: readonly ReviewFinding[]) =>
  [...new Map(findings.map((f) => [f.rule, f])).values()]
    .toSorted((a, b) => (a.rule < b.rule ? -1 : 1))
    .map((f) => ({
      id: f.rule,
      shortDescription: { text: titleOf(f).slice(0, 200) },
      defaultConfiguration: { level: levelOf(f) },
    }));

function sarifOf(review: Review): object {
  const findings = allFindings(review);
  return {
    $schema: 'https://json.schemastore.org/sarif-2.1.0.json',
    version: '2.1.0',
    runs: [
      {
        tool: { driver: { name: 'Coulee', version: review.version, rules: rulesOf(findings) } },
        originalUriBaseIds: { PROJECT: { description: { text: 'The folder of the project' } } },
        automationDetails: { id: `${review.project.id}/${review.revision}` },
        columnKind: 'utf16CodeUnits',
        results: findings.map(resultOf),
        invocations: [
          {
            executionSuccessful: true,
            toolExecutionNotifications: review.notChecked.map(({ what, why }) => ({
              level: 'note',
              message: { text: `Not checked: ${what}. ${why}` },
            })),
          },
        ],
        properties: { digest: review.digest, cases: review.cases, screens: review.screens },
      },
    ],
  };
}

/** Source: OASIS SARIF 2.1.0; what is accepted is suppressed, with its reason. */
export const reviewSarif = {
  id: 'sarif',
  label: 'The findings as SARIF, for whatever shows findings beside code',
  word: 'SARIF',
  mediaType: 'application/sarif+json',
  extension: '.sarif',
  write: (review) => `${JSON.stringify(sarifOf(review), null, 1)}\n`,
} as const satisfies ReviewFormat;
