import { byCause, classesIn, DIRECTION_WORDS, differing, sayDifference, saySince } from '@/core/since/say';
import type { Direction, Since } from '@/core/since/schema';
import { sayWeight } from '@/core/words/numbers';
import { capitalised, sayTime } from '@/core/words/words';
import { escapeHtml } from '../text/html';

function countsHtml({ parts }: Since): string {
  const shown = classesIn(parts);
  const heads = shown.map(([, label]) => `<th scope="col">${label}</th>`).join('');
  const rows = parts.map(
    ({ name, cases }) =>
      `<tr><th scope="row">${escapeHtml(name)}</th>${shown.map(([id]) => `<td>${cases[id]}</td>`).join('')}</tr>\n`,
  );
  return `<div class="scrolls" tabindex="0" role="region" aria-label="cases since the sign-off"><table>\n<thead><tr><th scope="col">Cases</th>${heads}</tr></thead>\n<tbody>\n${rows.join('')}</tbody>\n</table></div>\n`;
}

/** What got worse, or better, by the change that it comes from. */
function groupHtml(since: Since, direction: Exclude<Direction, 'other'>): string {
  const all = differing(since, direction);
  if (all.length === 0) return '';
  const causes = byCause(since, all).map(({ title, differences }) => {
    const items = differences.map(
      (d) =>
        `<li>${escapeHtml(capitalised(sayDifference(d)))}${d.cases.length > 1 ? `, ${sayWeight(d.weight)} of the weight` : ''}: ${escapeHtml(d.said)}</li>\n`,
    );
    return `<p><b>${escapeHtml(title)}</b></p>\n<ul>\n${items.join('')}</ul>\n`;
  });
  return `<h3>What ${DIRECTION_WORDS[direction]}</h3>\n${causes.join('')}`;
}

/** What has become of a project since it was signed off last, as a part of its report. */
export function sinceHtml(since: Since): string {
  const { by, why, at, revision, digest } = since.signOff;
  const { text, isWorse } = saySince(since);
  return [
    `<h2>Since the last sign-off</h2>\n`,
    `<p class="quiet">Signed off by ${escapeHtml(by)} on ${sayTime(at)}, revision ${revision}${why ? `: ${escapeHtml(why)}` : ''}. Digest <code>${digest.slice(0, 16)}</code>.</p>\n`,
    `<p><b class="${isWorse ? 'fail' : 'clear'}">${escapeHtml(text)}</b></p>\n`,
    countsHtml(since),
    groupHtml(since, 'worse'),
    groupHtml(since, 'better'),
  ].join('');
}
