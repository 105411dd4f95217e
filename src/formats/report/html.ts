import { openCases } from '@/core/findings/finding';
import { sayOpenCases } from '@/core/findings/say-open';
import { OUTCOMES, type Outcome } from '@/core/measure/judge';
import { OUTCOME_SHAPES } from '@/core/measure/words';
import { allFindings, foundCounts } from '@/core/review/counts';
import { sayVerdict, sayWhat, worstOpen } from '@/core/review/say';
import type { Review, ReviewFinding } from '@/core/review/schema';
import { sayWeight } from '@/core/words/numbers';
import { capitalised, countCases, countOf } from '@/core/words/words';
import type { Report, ReportedFinding, ReportedPart, Shot } from '@/render/report/report';
import { escapeHtml, standingPage } from '../text/html';
import { proofHtml } from './proof';
import { sinceHtml } from './since';

const STYLE = `
.shots { display: flex; flex-wrap: wrap; gap: 1rem; margin: .8rem 0; }
.shots figure { max-width: 13rem; }
.shots img { display: block; max-height: 13rem; width: auto; border: 1px solid var(--line); }
.telling figure { max-width: 9.5rem; } .telling img { max-height: 9.5rem; }
.finding { border-left: 3px solid var(--line); padding-left: 1rem; margin: 1rem 0; break-inside: avoid; }
.finding.fail-edge { border-color: var(--fail); } .finding.warn-edge { border-color: var(--warn); }
h4 { font-size: 1rem; margin: 0; }
summary { color: var(--river); cursor: pointer; }
details ul { list-style: none; margin: .3rem 0; padding: 0; }
@media print { details::details-content { content-visibility: visible; display: block; } summary { list-style: none; color: var(--ink-2); } }
`;

const signed = (outcome: Outcome, text: string) =>
  `<span class="${outcome}"><span aria-hidden="true">${OUTCOME_SHAPES[outcome]}</span> ${escapeHtml(text)}</span>`;

function figure({ caption: [first = '', ...rest], outcome, picture, size }: Shot): string {
  const source = `data:image/webp;base64,${picture.toString('base64')}`;
  const told = [first, ...rest].join(': ');
  const sign = outcome ? `<span class="${outcome}">${OUTCOME_SHAPES[outcome]} ${outcome}</span>, ` : '';
  return `<figure><img src="${source}" width="${size.width}" height="${size.height}" alt="${escapeHtml(told)}"><figcaption>${sign}${escapeHtml(first)}<br>${escapeHtml(rest.join(', '))}</figcaption></figure>\n`;
}

const gallery = (shots: readonly Shot[], kind = '') =>
  shots.length > 0 ? `<div class="shots${kind}">\n${shots.map(figure).join('')}</div>\n` : '';

/** How many cases, and how much of those that people have, a finding is open on. */
const sayOn = (f: ReviewFinding) =>
  f.cases.length > 0
    ? `On ${sayOpenCases(f)}, ${sayWeight(f.weight)} of the weight; at worst ${f.said}${f.worst.caseId === null ? '' : `, on ${f.worst.caseId}`}.`
    : `${capitalised(f.said)}.`;

/** Why some cases of a finding that is open elsewhere do not count. */
function acceptedThere(f: ReviewFinding): string {
  const reasons = new Map<string, number>();
  for (const { accepted } of f.cases)
    if (accepted !== undefined) reasons.set(accepted, (reasons.get(accepted) ?? 0) + 1);
  const parts = [...reasons].map(([why, n]) => `Accepted on ${countCases(n)}: ${why}`);
  return parts.map((p) => `<p class="quiet">${escapeHtml(p)}</p>\n`).join('');
}

const sayCounts = (counts: Record<Outcome, number>) => OUTCOMES.map((o) => `${counts[o]} ${o}`).join(', ');

const changes = (was: Record<Outcome, number>, is: Record<Outcome, number>) =>
  OUTCOMES.map((o) => (was[o] === is[o] ? `${o} ${is[o]}` : `${o} ${was[o]} → ${is[o]}`)).join(', ');

function mendText({ mend, finding }: ReportedFinding): string {
  if (!mend) return '';
  const { label, clears, was, is } = mend;
  return `<p><b>What would help most:</b> ${escapeHtml(label)}. It mends ${clears} of these ${countCases(openCases(finding).length)}. Cases of the scene: ${changes(was, is)}.</p>\n`;
}

function causes(why: ReportedFinding['why']): string {
  const under = why.slice(1);
  if (under.length === 0) return '';
  const lines = under.map(
    ({ text, depth }) => `<li style="padding-left:${depth}em">${escapeHtml(text)}</li>`,
  );
  return `<details><summary>Why: the figures it comes from</summary><ul>\n${lines.join('\n')}\n</ul></details>\n`;
}

function findingHtml(reported: ReportedFinding): string {
  const { finding, short, why, shots } = reported;
  return [
    `<section class="finding ${finding.outcome}-edge">\n<h4>${signed(finding.outcome, capitalised(sayWhat(finding)))}</h4>\n`,
    short === null ? '' : `<p>${escapeHtml(short)}</p>\n`,
    `<p>${escapeHtml(sayOn(finding))}</p>\n`,
    acceptedThere(finding),
    mendText(reported),
    gallery(shots),
    causes(why),
    '</section>\n',
  ].join('');
}

const causeHtml = ({ name, sentence, findings }: ReportedPart['causes'][number]): string =>
  `<h3>${escapeHtml(name)}</h3>\n${sentence ? `<p class="quiet">${escapeHtml(sentence)}</p>\n` : ''}${findings.map(findingHtml).join('')}`;

type Judged = Review['scenes'][number] | Review['launches'][number];

function partHtml(judged: Judged, { telling, causes: all }: ReportedPart): string {
  const shown =
    telling.length > 0 ? `<h3>Cases that show the extremes</h3>\n${gallery(telling, ' telling')}` : '';
  const open = all.length > 0 ? all.map(causeHtml).join('') : '<p>Nothing is open.</p>\n';
  return `<h2>${escapeHtml(judged.name)}</h2>\n<p>${sayCounts(judged.counts)}, of ${countCases(OUTCOMES.reduce((sum, o) => sum + judged.counts[o], 0))}.</p>\n${shown}${open}`;
}

function filesHtml({ files }: Review): string {
  const open = files.flatMap((f) => f.findings).filter((f) => f.accepted === null);
  const list = open.map((f) => findingHtml({ finding: f, short: null, why: [], shots: [], mend: null }));
  return `<h2>Files of ${countOf(files.length, 'picture')}</h2>\n${list.join('') || '<p>Nothing is open.</p>\n'}`;
}

function rowHtml(name: string, counts: Judged['counts'] | null, findings: readonly ReviewFinding[]): string {
  const { fail, warn, accepted } = foundCounts(findings);
  const worst = worstOpen(findings);
  const cells = OUTCOMES.map((o) => `<td>${counts ? counts[o] : '–'}</td>`).join('');
  const found = `${signed('fail', `${fail}`)} ${signed('warn', `${warn}`)}${accepted > 0 ? ` <span class="quiet">✓ ${accepted} accepted</span>` : ''}`;
  return `<tr><th scope="row">${escapeHtml(name)}</th>${cells}<td>${found}</td><td>${worst ? escapeHtml(capitalised(sayWhat(worst))) : '<span class="quiet">nothing open</span>'}</td></tr>\n`;
}

function overview(review: Review): string {
  const heads = [
    'What',
    ...OUTCOMES.map((o) => `cases ${o === 'clear' ? 'clear' : `that ${o}`}`),
    'Findings',
    'Worst',
  ];
  const { scenes, launches, files } = review;
  const rows = [
    ...[...scenes, ...launches].map((p) => rowHtml(p.name, p.counts, p.findings)),
    rowHtml(
      `Files of ${countOf(files.length, 'picture')}`,
      null,
      files.flatMap((f) => f.findings),
    ),
  ];
  return `<div class="scrolls" tabindex="0" role="region" aria-label="overview"><table>\n<thead><tr>${heads.map((h) => `<th scope="col">${h}</th>`).join('')}</tr></thead>\n<tbody>\n${rows.join('')}</tbody>\n</table></div>\n`;
}

function list(title: string, lines: readonly string[], none: string): string {
  const items = lines.map((l) => `<li>${l}</li>\n`).join('');
  return `<h2>${title}</h2>\n${items ? `<ul>\n${items}</ul>\n` : `<p>${none}</p>\n`}`;
}

const acceptedLines = (review: Review) =>
  allFindings(review)
    .filter((f) => f.accepted !== null)
    .map((f) => `${escapeHtml(f.in.name)}: ${escapeHtml(sayWhat(f))}. <b>${escapeHtml(f.accepted!)}</b>`);

/** How a project stands, as one page that needs nothing else: for whoever decides, on a screen or on paper. */
export function reportHtml({ review, scenes, launches, proof, since }: Report): string {
  const { project, revision, screens, set, weightsFrom, cases, version, digest, notChecked } = review;
  const of = set === undefined ? '' : ` of “${escapeHtml(set)}”`;
  const by = weightsFrom === undefined ? '' : `, weights from ${escapeHtml(weightsFrom)}`;
  const { text, outcome } = sayVerdict(review);
  const parts = [
    ...review.scenes.map((judged, i) => partHtml(judged, scenes[i]!)),
    ...review.launches.map((judged, i) => partHtml(judged, launches[i]!)),
  ];
  const body = [
    `<h1>${escapeHtml(project.name)}</h1>\n<p><b>${signed(outcome, text)}</b></p>\n`,
    `<p class="quiet">Revision ${revision}, judged on ${countCases(cases)} of ${screens} screens${of}${by}. Coulee ${version}; the same documents, screens and version have the digest <code>${digest.slice(0, 16)}</code>.</p>\n`,
    overview(review),
    since ? sinceHtml(since) : '',
    ...parts,
    filesHtml(review),
    proofHtml(proof, gallery(proof.screenshots)),
    list('Accepted, and why', acceptedLines(review), 'Nothing is accepted.'),
    list(
      'Not checked',
      notChecked.map(({ what, why }) => `${escapeHtml(what)}: ${escapeHtml(why)}`),
      'Everything that can be checked was checked.',
    ),
  ];
  return standingPage(`${project.name}: report`, body.join(''), STYLE);
}
