import { z } from 'zod';
import { sheetHtml } from './html';
import { sheetMarkdown } from './markdown';
import { Sheet } from './schema';

/** One way to write a sheet down. */
export interface SheetFormat {
  id: string;
  label: string;
  mediaType: string;
  /** with its dot */
  extension: string;
  write: (sheet: Sheet) => string;
}

/** Every way to write a sheet down. */
export const SHEET_FORMATS = [
  { id: 'md', label: 'Markdown', mediaType: 'text/markdown', extension: '.md', write: sheetMarkdown },
  { id: 'html', label: 'HTML', mediaType: 'text/html', extension: '.html', write: sheetHtml },
  {
    id: 'json',
    label: 'JSON',
    mediaType: 'application/json',
    extension: '.json',
    write: (sheet) => `${JSON.stringify(sheet, null, 1)}\n`,
  },
] as const satisfies readonly SheetFormat[];

type SheetFormatId = (typeof SHEET_FORMATS)[number]['id'];
export const SHEET_FORMAT_IDS: readonly SheetFormatId[] = SHEET_FORMATS.map((f) => f.id);

/** The JSON Schema of a sheet that is written down. Source: JSON Schema, draft 2020-12. */
export const sheetJsonSchema = (): object => z.toJSONSchema(Sheet, { target: 'draft-2020-12' });
