import { openOn } from '@/core/findings/finding';
import { allFindings } from '@/core/review/counts';
import type { ReviewFinding } from '@/core/review/schema';
import type { ReviewFormat } from './format';
import { FORMULA } from './text/spreadsheet';

/** The columns, with what stands in each. */
const COLUMNS: readonly [string, (f: ReviewFinding) => string | number][] = [
  ['source', (f) => f.source],
  ['in', (f) => f.in.name],
  ['subject', (f) => f.subject.name],
  ['finding', (f) => f.word],
  ['rule', (f) => f.rule],
  ['measure', (f) => f.measure],
  ['side', (f) => f.side ?? ''],
  ['outcome', (f) => f.outcome],
  ['open cases', openOn],
  ['accepted cases', (f) => f.cases.length - openOn(f)],
  ['weight', (f) => f.weight],
  ['worst case', (f) => f.worst.caseId ?? ''],
  ['worst value', (f) => f.worst.value],
  ['least', (f) => f.worst.limit.min ?? ''],
  ['most', (f) => f.worst.limit.max ?? ''],
  ['said', (f) => f.said],
  ['accepted because', (f) => f.accepted ?? ''],
];

/** A field of RFC 4180. A text that a spreadsheet would run is led by an apostrophe, so that it stays a text. */
function field(value: string | number): string {
  if (typeof value === 'number') return String(value);
  const text = FORMULA.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
}

const line = (fields: readonly (string | number)[]) => `${fields.map(field).join(',')}\r\n`;

/** Source: RFC 4180; in UTF-8, beginning with a byte order mark, by which spreadsheets know that. */
export const reviewCsv = {
  id: 'csv',
  label: 'The findings as CSV, for a spreadsheet',
  word: 'CSV',
  mediaType: 'text/csv; charset=utf-8',
  extension: '.csv',
  write: (review) =>
    `\uFEFF${line(COLUMNS.map(([name]) => name))}${allFindings(review)
      .map((f) => line(COLUMNS.map(([, of]) => of(f))))
      .join('')}`,
} as const satisfies ReviewFormat;
