import { readFileSync } from 'node:fs';
import { demoDocuments, demoPictures } from './documents';
import type { Rendition } from '../src/core/pictures/picture';
import { filePixelsOf, type FilePixels } from '../src/core/pixels/file';
import { casesOf } from '../src/core/screens/cases';
import { readCatalogue } from '../src/core/screens/catalogue';
import type { SurveyInput } from '../src/core/survey/survey';
import { halfWide } from '../src/core/testing/fonts';

/**
 * The files of a picture of the demo as they are kept once it is seeded, but for their hashes.
 * @param hashOf of each, by its place
 */
export function demoRenditions(id: string, hashOf: (file: number) => string): Rendition[] {
  const { files, shape } = demoPictures.find((p) => p.id === id)!;
  return files.map(({ widthPx, density, appearance }, i) => ({
    hash: hashOf(i),
    widthPx,
    heightPx: Math.round(widthPx / shape),
    density,
    appearance,
    vector: false,
  }));
}

/** The demo without its files: their sizes, and pixels that are made up. */
export const demo = demoDocuments((id) => demoRenditions(id, (i) => String(i).repeat(64)));
const catalogue = readCatalogue(JSON.parse(readFileSync('data/screens.json', 'utf8')));
export const demoCases = casesOf(catalogue, ['light', 'dark']);
export const demoInput = (scene: string): SurveyInput => ({
  scene: demo.scenes[scene]!,
  pictures: demo.project.pictures,
  named: demo.project.named,
  limits: demo.project.limits,
  fonts: halfWide,
});

/** For every file of the demo a few pixels of many colours; those of every other one are see-through. */
export function madeUpPixels(): ReadonlyMap<string, FilePixels> {
  const file = (seed: number) =>
    filePixelsOf({
      width: 12,
      height: 9,
      data: Uint8Array.from({ length: 12 * 9 * 4 }, (_, i) =>
        i % 4 === 3 && seed % 2 === 0 ? 255 : (seed * 31 + i * i * 37) % 256,
      ),
    });
  return new Map(Array.from({ length: 10 }, (_, i) => [String(i).repeat(64), file(i)]));
}
