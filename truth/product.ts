import catalogue from '../data/screens.json';
import { filePixelsOf } from '../src/core/pixels/file';
import { findCase } from '../src/core/screens/cases';
import { readCatalogue } from '../src/core/screens/catalogue';
import { surveyCase, type CaseResult } from '../src/core/survey/survey';
import { setText } from '../src/core/text/layout';
import type { Drawing } from '../src/render/drawing';
import { drawingOf } from '../src/render/painter';
import { paintPng } from '../src/render/sharp';
import { serverFonts } from '../src/server/fonts/fonts';
import { shotOf, type Shot } from './browser';
import type { RandomScene } from './scenes';

/** What the product makes of a random scene. */

const screens = readCatalogue(catalogue);

export function surveyed({ scene, screen, files }: RandomScene): CaseResult {
  const c = findCase(screen.caseId, screens);
  if (!c) throw new Error(`There is no case ${screen.caseId}.`);
  const pixels = new Map(files.map((f) => [f.hash, filePixelsOf(f.raster)]));
  const pictures = files.map((f) => f.picture);
  return surveyCase({ scene, pictures, named: [], limits: [], fonts: serverFonts(), pixels }, c);
}

/** Less than this of a width, and the engine’s rounding decides whether a word still fits. */
const DOUBT = 0.004;

/** Whether a line of a text is so nearly as wide as its room that it hangs on rounding where it ends. */
export const hasDoubtfulBreak = ({ scene }: RandomScene, { layers }: CaseResult): boolean =>
  layers.some((l) => {
    const layer = scene.layers.find((one) => one.id === l.id);
    if (
      layer?.kind !== 'text' ||
      layer.placing.x.kind === 'edges' ||
      layer.placing.x.extent.kind === 'natural'
    )
      return false;
    const linesIn = (width: number) =>
      setText(layer.text, layer.style, width, serverFonts()).lines.map((x) => x.text);
    const [less, more] = [linesIn(l.box.width * (1 - DOUBT)), linesIn(l.box.width * (1 + DOUBT))];
    return less.join('\n') !== more.join('\n');
  });

/** Its drawing, and how the server paints that. */
export async function paintedByProduct(
  { scale, files }: RandomScene,
  result: CaseResult,
): Promise<{ drawing: Drawing; server: Shot }> {
  const drawing = drawingOf(result, { scale, fonts: serverFonts() });
  const bytes = new Map(files.map((f) => [f.hash, f.png]));
  const png = await paintPng(drawing, (hash) => Promise.resolve(bytes.get(hash)!));
  return { drawing, server: await shotOf(png) };
}
