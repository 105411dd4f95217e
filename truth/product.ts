import { readFileSync } from 'node:fs';
import { extent } from '../src/core/geometry/rect';
import { filePixelsOf } from '../src/core/pixels/file';
import { findCase } from '../src/core/screens/cases';
import { readCatalogue } from '../src/core/screens/catalogue';
import { surveyCase, type CaseResult, type PictureResult, type TextResult } from '../src/core/survey/survey';
import { setText } from '../src/core/text/layout';
import type { Drawing } from '../src/render/drawing';
import { drawingOf } from '../src/render/painter';
import { paintPng } from '../src/render/sharp';
import { serverFonts } from '../src/server/fonts/fonts';
import { shotOf, type Shot } from './browser';
import type { RandomScene } from './scenes';

/** What the product makes of a random scene. */

const screens = readCatalogue(JSON.parse(readFileSync('data/screens.json', 'utf8')));

export function surveyed({ scene, screen, files }: RandomScene): CaseResult {
  const c = findCase(screen.caseId, screens);
  if (!c) throw new Error(`There is no case ${screen.caseId}.`);
  const pixels = new Map(files.map((f) => [f.hash, filePixelsOf(f.raster)]));
  const pictures = files.map((f) => f.picture);
  return surveyCase({ scene, pictures, named: [], limits: [], fonts: serverFonts(), pixels }, c);
}

/** Less than this of a width, and the engine’s rounding decides whether a word, or a copy of a picture, still fits. */
const DOUBT = 0.004;

function breaksInDoubt({ scene }: Pick<RandomScene, 'scene'>, l: TextResult): boolean {
  const layer = scene.layers.find((one) => one.id === l.id);
  if (layer?.kind !== 'text') return false;
  const { x } = layer.placing;
  if (x.kind === 'edges' || x.extent.kind === 'natural') return false;
  const linesIn = (width: number) =>
    setText(layer.text, layer.style, width, serverFonts()).lines.map((line) => line.text);
  const [less, more] = [linesIn(l.box.width * (1 - DOUBT)), linesIn(l.box.width * (1 + DOUBT))];
  return less.join('\n') !== more.join('\n');
}

/** More copies than this, each as large as the engine’s whole px make it, end up elsewhere by a good part of one. */
const MOST_COPIES = 8;

/** How many copies with gaps there are hangs on the last bit where they all but fill their box. */
function copiesInDoubt({ scene }: Pick<RandomScene, 'scene'>, l: PictureResult): boolean {
  const layer = scene.layers.find((one) => one.id === l.id);
  if (layer?.kind !== 'picture') return false;
  return (['x', 'y'] as const).some((axis) => {
    const copies = extent(l.box, axis) / extent(l.placement.drawn, axis);
    if (layer.fit.repeat[axis] === 'no-repeat') return false;
    if (copies > MOST_COPIES) return true;
    if (layer.fit.repeat[axis] !== 'space') return false;
    return Math.abs(copies - Math.round(copies)) < DOUBT * copies;
  });
}

/** Whether it hangs on rounding how something in a scene is laid out. */
export const hangsOnRounding = (random: Pick<RandomScene, 'scene'>, { layers }: CaseResult): boolean =>
  layers.some((l) => {
    if (l.kind === 'text') return breaksInDoubt(random, l);
    return l.kind === 'picture' && copiesInDoubt(random, l);
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
