import { byCause, classesIn, DIRECTION_WORDS, differing, sayDifference, saySince } from '@/core/since/say';
import type { Difference, Since } from '@/core/since/schema';
import { sayWeight } from '@/core/words/numbers';
import { columns } from './columns';

const SIGNS = { worse: '−', better: '+', other: '·' } as const;

function sayOne(d: Difference): string[] {
  const where = d.where && d.cases.length > 0 ? ` (${d.where}; ${sayWeight(d.weight)} of the weight)` : '';
  const on = d.worst.caseId === null ? '' : `, on ${d.worst.caseId}`;
  return [`    ${SIGNS[d.direction]} ${sayDifference(d)}${where}`, `        ${d.said}${on}`];
}

/** What got worse, or better, by the change that it comes from. */
function groupLines(since: Since, direction: 'worse' | 'better'): string[] {
  const all = differing(since, direction);
  if (all.length === 0) return [];
  return [
    '',
    `What ${DIRECTION_WORDS[direction]}`,
    ...byCause(since, all).flatMap(({ title, differences }) => [
      `  ${title}`,
      ...differences.flatMap(sayOne),
    ]),
  ];
}

/** What has changed since a sign-off as lines of text, for people and for the log of a build. */
export function sinceLines(since: Since): string[] {
  const { signOff, now, changes, parts } = since;
  const shown = classesIn(parts);
  const other = differing(since, 'other').length;
  return [
    `${since.project.name}, revision ${now.revision}, since it was signed off by ${signOff.by} on ${signOff.at.slice(0, 10)} (revision ${signOff.revision})`,
    saySince(since).text,
    '',
    ...columns([
      ['cases', ...shown.map(([, label]) => label), ''],
      ...parts.map(({ name, cases }) => [name, ...shown.map(([c]) => `${cases[c]}`), '']),
    ]),
    ...groupLines(since, 'worse'),
    ...groupLines(since, 'better'),
    ...(other > 0 ? ['', `${other} figures ${DIRECTION_WORDS.other}; --as json lists them.`] : []),
    ...(changes.length > 0
      ? [
          '',
          'What was changed',
          ...changes.map(({ title, before, after }) =>
            before || after ? `  ${title}: ${before} → ${after}` : `  ${title}`,
          ),
        ]
      : []),
  ];
}
