import type { Size } from '@/core/geometry/rect';
import type { Outcome } from '@/core/measure/judge';
import { filesOfScene, fontsOfScene, sceneWith, type Documents } from '@/core/project/documents';
import { screensFor } from '@/core/icons/slots';
import { casesOf, type Case } from '@/core/screens/cases';
import { distinctCases } from '@/core/screens/likeness';
import type { Screen } from '@/core/screens/screen';
import { tellingCases } from '@/core/solve/telling';
import { surveyCase, surveyInput, type CaseResult } from '@/core/survey/survey';
import { APPEARANCES } from '@/core/values/values';
import { captionOf } from './caption';
import type { Drawing } from './drawing';
import type { Host } from './host';
import { drawingOf } from './painter';

/** Which cases of a scene are put beside one another. */
export interface ContactAsked {
  documents: Documents;
  sceneId: string;
  screens: readonly Screen[];
  /** the few that show the extremes, all that can be told apart, or those that are named */
  cases: 'telling' | 'all' | readonly string[];
}

/** One case on a contact sheet. */
export interface ContactCell {
  caseId: string;
  outcome: Outcome;
  /** what is written below it, line by line */
  caption: string[];
  /** as it is drawn in its cell */
  drawing: Drawing;
}

/** How many are told of, of all cases. */
const MOST_TELLING = 24;

function chosen(all: readonly Case[], results: readonly CaseResult[], asked: ContactAsked['cases']): Case[] {
  if (asked === 'all') return [...all];
  if (asked === 'telling') return tellingCases(all, results, MOST_TELLING);
  return asked.flatMap((id) => all.find((c) => c.id === id) ?? []);
}

/** As large as fits into a cell. */
const scaleFor = ({ width, height }: Size, cell: Size) => Math.min(cell.width / width, cell.height / height);

/**
 * The cells of a contact sheet, one after another, each when it is asked for: what lies in memory is one.
 * @param cell px that a picture may take
 * @throws when there is no such scene
 */
export async function contactCells(
  asked: ContactAsked,
  host: Host,
  cell: Size,
): Promise<{ count: number; cells: () => Generator<ContactCell> }> {
  const { documents, sceneId } = asked;
  const scene = sceneWith(documents, sceneId);
  if (!scene) throw new Error(`There is no scene “${sceneId}” in this project.`);
  const screens = screensFor(scene, documents.project, asked.screens);
  const fonts = await host.fonts(fontsOfScene(scene));
  const pixels = await host.pixels(filesOfScene(scene, documents.project.pictures));
  const input = surveyInput(documents, scene, { fonts, pixels });
  const distinct = distinctCases(casesOf(screens, APPEARANCES));
  const wanted = typeof asked.cases === 'string' ? null : new Set(asked.cases);
  const all = wanted
    ? casesOf(screens, APPEARANCES).filter((c) => wanted.has(c.id))
    : distinct.map((d) => d.shown);
  const results = all.map((c) => surveyCase(input, c));
  const byId = new Map(results.map((r) => [r.id, r]));
  const alike = new Map(distinct.map((d) => [d.shown.id, d.alike.length]));
  const { layers } = scene;
  const list = chosen(all, results, asked.cases);
  function* cells(): Generator<ContactCell> {
    for (const c of list) {
      const result = byId.get(c.id)!;
      const drawing = drawingOf(result, { scale: scaleFor(result.regions.screen, cell), glass: true, fonts });
      const caption = captionOf(c, result, wanted ? 0 : (alike.get(c.id) ?? 0), layers);
      yield { caseId: c.id, outcome: result.outcome, caption, drawing };
    }
  }
  return { count: list.length, cells };
}
