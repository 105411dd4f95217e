import Papa from 'papaparse';
import type { Table } from '@/core/screens/table';
import { z } from 'zod';
import { withoutApostrophe } from '../text/spreadsheet';

/** Larger tables are refused: counts of users come to far less. */
const MOST_BYTES = 20 * 1024 * 1024;
const MOST_COLUMNS = 100;
const MOST_ROWS = 50_000;

/** A table, and how it was understood. */
export interface ReadTable {
  table: Table;
  /** “comma”, “semicolon”, … as it is said; `null` of JSON */
  delimiter: string | null;
  encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252';
  decimalComma: boolean;
  /** whether the first line names the columns */
  hasHeader: boolean;
}

/** A file that cannot be read as a table, in words. */
export class UnreadableTable extends Error {}

const DELIMITERS: Record<string, string> = {
  ',': 'comma',
  ';': 'semicolon',
  '\t': 'tab',
  '|': 'bar',
};

function textOf(bytes: Uint8Array): { text: string; encoding: ReadTable['encoding'] } {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe)
    return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' };
  if (a === 0xfe && b === 0xff)
    return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' };
  if (bytes.subarray(0, 65_536).includes(0))
    throw new UnreadableTable('This is no text but a binary file. Save the table as CSV or JSON.');
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    // Every byte is a letter there: what older spreadsheets write.
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}

const Cell = z.union([z.string(), z.number(), z.boolean(), z.null()]).optional();
const Rows = z.array(z.record(z.string(), Cell));

/** A list of objects with plain values; an object that holds one such list will do. */
function tableOfJson(text: string): Table {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw new UnreadableTable(`This is no JSON: ${error instanceof Error ? error.message : String(error)}`);
  }
  const lists = Array.isArray(json) ? [json] : Object.values(json ?? {}).filter(Array.isArray);
  const found = lists.length === 1 ? Rows.safeParse(lists[0]) : null;
  if (!found?.success)
    throw new UnreadableTable(
      'This JSON is no list of screens. It has to be a list of objects with plain values, such as [{"width": 390, "height": 844, "users": 12}].',
    );
  const columns = [...new Set(found.data.flatMap((row) => Object.keys(row)))];
  const cell = (value: z.infer<typeof Cell>) => (value === null || value === undefined ? '' : String(value));
  return {
    columns,
    rows: found.data.map((row, i) => ({ line: i + 1, cells: columns.map((c) => cell(row[c])) })),
  };
}

const isNumber = (cell: string) => /^\s*[-+]?[\d.,]+\s*$/.test(cell);

/** Whether a line names columns: it has no numbers, or the next one has more. */
const namesColumns = (first: readonly string[], second: readonly string[] | undefined) =>
  first.filter(isNumber).length === 0 ||
  (second?.filter(isNumber).length ?? 0) > first.filter(isNumber).length + 1;

/** Whether numbers have a comma before their decimals: some have, and none has a point there. */
function hasDecimalComma(rows: Table['rows'], delimiter: string): boolean {
  if (delimiter === ',') return false;
  const cells = rows.slice(0, 200).flatMap((r) => r.cells);
  const commas = cells.filter((c) => /^\s*[-+]?[\d.]*,\d+\s*$/.test(c)).length;
  const points = cells.filter((c) => /^\s*[-+]?\d+\.\d+\s*$/.test(c)).length;
  return commas > points;
}

/** Letters between two quotes: what is longer is no name and no figure of a screen, but a quote that was never meant to open. */
const MOST_FIELD = 10_000;

/** A quote at the beginning of a field, up to the one that closes it; two of them in a row are one letter. Source: RFC 4180, §2. */
const QUOTED = /(?<=^|[,;\t|\r\n])"(?:[^"]|"")*("|$)/g;

/** Looked for before the table is read, which takes long where a field is. @throws UnreadableTable */
function refuseLongFields(text: string): void {
  for (const { 0: field, index } of text.matchAll(QUOTED))
    if (field.length > MOST_FIELD)
      throw new UnreadableTable(
        `A quote that opens on line ${text.slice(0, index).split('\n').length} goes on for more than ${MOST_FIELD} letters. Close it, or take it out.`,
      );
}

function tableOfCsv(text: string, header?: boolean) {
  refuseLongFields(text);
  const { data, errors, meta } = Papa.parse<string[]>(text, { skipEmptyLines: false });
  const quote = errors.find((e) => e.type === 'Quotes');
  if (quote) throw new UnreadableTable(`A quote that opens on line ${(quote.row ?? 0) + 1} is never closed.`);
  const lines = data
    .map((cells, i) => ({ line: i + 1, cells: cells.map(withoutApostrophe) }))
    .filter(({ cells }) => cells.some((c) => c.trim() !== ''));
  const [first, second] = lines;
  if (!first) throw new UnreadableTable('The file is empty.');
  const hasHeader = header ?? namesColumns(first.cells, second?.cells);
  const rows = hasHeader ? lines.slice(1) : lines;
  const count = Math.max(...lines.slice(0, 1000).map((l) => l.cells.length));
  const columns = Array.from(
    { length: count },
    (_, i) => (hasHeader && first.cells[i]?.trim()) || `column ${i + 1}`,
  );
  return { table: { columns, rows }, hasHeader, delimiter: meta.delimiter };
}

/**
 * Reads a table of screens: CSV with any usual delimiter, encoding and decimal sign, or JSON.
 * @param header whether the first line names the columns; found out when absent
 * @throws UnreadableTable in words
 */
export function readTable(bytes: Uint8Array, header?: boolean): ReadTable {
  if (bytes.byteLength > MOST_BYTES)
    throw new UnreadableTable(
      `The file is ${Math.round(bytes.byteLength / 1e6)} MB; tables of up to ${MOST_BYTES / 1024 / 1024} MB are read.`,
    );
  const { text, encoding } = textOf(bytes);
  const isJson = /^\s*[[{]/.test(text);
  const read = isJson
    ? { table: tableOfJson(text), hasHeader: true, delimiter: null }
    : tableOfCsv(text, header);
  const { columns, rows } = read.table;
  if (columns.length > MOST_COLUMNS)
    throw new UnreadableTable(
      `The table has ${columns.length} columns; up to ${MOST_COLUMNS} are read. Leave out what is not needed.`,
    );
  if (rows.length > MOST_ROWS)
    throw new UnreadableTable(`The table has ${rows.length} lines; up to ${MOST_ROWS} are read.`);
  if (rows.length === 0) throw new UnreadableTable('The table has no lines besides its header.');
  return {
    table: read.table,
    delimiter: read.delimiter && (DELIMITERS[read.delimiter] ?? read.delimiter),
    encoding,
    decimalComma: read.delimiter === null ? false : hasDecimalComma(rows, read.delimiter),
    hasHeader: read.hasHeader,
  };
}
