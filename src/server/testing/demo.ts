import { filePixelsOf, type FilePixels } from '@/core/pixels/file';
import type { AdviceAsked } from '@/core/findings/advise';
import type { Documents } from '@/core/project/documents';
import { casesOf } from '@/core/screens/cases';
import { distinctCases } from '@/core/screens/likeness';
import { screensOf } from '../catalogue';
import { fontsFor } from '../fonts/fonts';
import { raster } from '../services/pictures';
import { loadProject } from '../services/projects';

/** The demo as it is in the store, with everything that a survey takes from outside. */
export async function demo() {
  const { documents } = loadProject('larkmoor-ferries');
  const pixels = new Map<string, FilePixels>();
  for (const picture of documents.project.pictures)
    for (const cut of picture.cuts)
      for (const { hash } of cut.renditions) pixels.set(hash, filePixelsOf(await raster(hash)));
  const cases = distinctCases(casesOf(screensOf(documents.project), ['light', 'dark'])).map((c) => c.shown);
  let n = 0;
  const asked = (sceneId: string, of: Documents = documents): AdviceAsked => ({
    documents: of,
    sceneId,
    cases,
    outside: { fonts: fontsFor(documents), pixels },
    newId: () => `new-${n++}`,
  });
  return { documents, cases, asked };
}
