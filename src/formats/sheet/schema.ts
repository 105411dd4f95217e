import { z } from 'zod';
import { sayLength, sayNumber } from '@/core/words/numbers';

/** Of this schema; a reader refuses another one. */
export const SHEET_SCHEMA = 'sheet/1';

const Name = z.object({ id: z.string(), name: z.string() });

/** A length as it comes out on a screen. */
const Length = z.object({ lu: z.number(), px: z.number().describe('of the device') });

const Row = z.object({
  id: z.string(),
  what: z.string(),
  ruled: z.string().describe('as the rule says it; nothing where it follows'),
  at: z.array(z.union([Length, z.string()])).describe('on each of the screens of the sheet'),
});

const Fact = z.object({
  id: z.string(),
  what: z.string(),
  text: z.string(),
  colour: z.string().optional().describe('#rrggbb or #rrggbbaa, where it is one'),
});
export type Fact = z.infer<typeof Fact>;
export type Row = z.infer<typeof Row>;

const Section = Name.extend({
  about: z.string().describe('what it is'),
  sentence: z.string().optional().describe('its rule'),
  rows: z.array(Row),
  facts: z.array(Fact),
  css: z.string().optional().describe('the same as CSS'),
  notSaid: z.string().optional().describe('why there is no CSS'),
});
export type Section = z.infer<typeof Section>;

const Column = z.object({
  id: z.enum(['smallest', 'most-used', 'largest', 'chosen']),
  label: z.string(),
  caseId: z.string(),
  screen: z.string().describe('width × height, lu'),
  density: z.number().describe('device px per lu'),
});
export type Column = z.infer<typeof Column>;

/** Everything of a scene, and of the launches, that is typed into an app. */
export const Sheet = z
  .object({
    schema: z.literal(SHEET_SCHEMA),
    version: z.string().describe('of the product that made it'),
    project: Name,
    revision: z.int().nonnegative(),
    scene: Name,
    target: z.object({ id: z.string(), name: z.string(), screens: z.int().nonnegative() }),
    columns: z.array(Column).describe('the screens on which lengths are said'),
    sections: z.array(Section),
  })
  .meta({ title: 'Build sheet of a scene' });
export type Sheet = z.infer<typeof Sheet>;

/** A figure of a row in words. */
export const sayAt = (at: Row['at'][number]): string =>
  typeof at === 'string' ? at : `${sayLength(at.lu)} · ${sayNumber(at.px)} px`;

/** Every figure of a sheet in words, by where it stands: what is compared when one asks what has changed. */
export function figuresOf({ sections, columns }: Sheet): Map<string, string> {
  const figures = new Map<string, string>();
  for (const { id, sentence, rows, facts, css } of sections) {
    if (sentence) figures.set(`${id}/sentence`, sentence);
    for (const row of rows) {
      if (row.ruled) figures.set(`${id}/${row.id}/ruled`, row.ruled);
      row.at.forEach((at, i) => figures.set(`${id}/${row.id}/${columns[i]!.id}`, sayAt(at)));
    }
    for (const fact of facts) figures.set(`${id}/${fact.id}`, fact.text);
    if (css) figures.set(`${id}/css`, css);
  }
  return figures;
}
