import Papa from 'papaparse';
import { FORMULA } from '../text/spreadsheet';
import type { Screen } from '@/core/screens/screen';

const COLUMNS: readonly (readonly [string, (s: Screen) => string | number])[] = [
  ['name', (s) => s.label],
  ['width', (s) => s.framebufferPx.width],
  ['height', (s) => s.framebufferPx.height],
  ['px per lu', (s) => s.density],
  ['weight', (s) => s.weight],
  ['top', (s) => s.insets[0].top],
  ['right', (s) => s.insets[0].right],
  ['bottom', (s) => s.insets[0].bottom],
  ['left', (s) => s.insets[0].left],
  ['kind', (s) => s.kind],
  ['from', (s) => s.origin],
  ['id', (s) => s.id],
];

/** What a table of screens can be written as. */
export const TABLE_TYPES = { csv: 'text/csv;charset=utf-8', json: 'application/json' } as const;
export type TableType = keyof typeof TABLE_TYPES;

/** Screens as a table, sizes in device px, as it can be read again: CSV, or JSON as a list of objects. A name that a spreadsheet would run is led by an apostrophe. */
export function writeScreens(screens: readonly Screen[], type: TableType): string {
  const rows = screens.map((s) => COLUMNS.map(([name, of]) => [name, of(s)] as const));
  if (type === 'json')
    return `${JSON.stringify(
      rows.map((row) => Object.fromEntries(row)),
      null,
      2,
    )}\n`;
  return Papa.unparse(
    {
      fields: COLUMNS.map(([name]) => name),
      data: rows.map((row) => row.map(([, value]) => value)),
    },
    { escapeFormulae: FORMULA },
  );
}
