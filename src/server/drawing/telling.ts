import { filesOfScene, fontsOfScene, sceneWith, type Documents } from '@/core/project/documents';
import { countedFor } from '@/core/icons/slots';
import { casesOf } from '@/core/screens/cases';
import { caseName } from '@/core/screens/words';
import { ownerName } from '@/core/measure/words';
import { tellingOf } from '@/core/solve/alike';
import { summarise, tally, type OutcomeCounts } from '@/core/solve/summary';
import { survey, surveyInput } from '@/core/survey/survey';
import { APPEARANCES } from '@/core/values/values';
import type { Outcome } from '@/core/measure/judge';
import { readOriginalNow } from '../blobs';
import { screensOf } from '../catalogue';
import { fileHost } from './file-host';
import { STORED } from './read';

/** A case that tells most, with what is worst on it. */
export interface Told {
  case: string;
  name: string;
  outcome: Outcome;
  /** what is worst, the layer first: “Harbour: Lighthouse cut off”; `null` where nothing is lost */
  words: string | null;
  /** how many other cases are like it */
  like: number;
}

/** The outcomes of all cases of a scene, and the cases that tell most, the gravest that most people have first. */
export async function telling({
  documents,
  sceneId,
}: {
  documents: Documents;
  sceneId: string;
}): Promise<{ outcomes: OutcomeCounts; cases: Told[] }> {
  const { project } = documents;
  const scene = sceneWith(documents, sceneId)!;
  const host = fileHost(documents, { bytes: STORED, font: readOriginalNow });
  const pixels = await host.pixels(filesOfScene(scene, project.pictures));
  const fonts = await host.fonts(fontsOfScene(scene));
  const cases = countedFor(scene, project, casesOf(screensOf(project), APPEARANCES));
  const found = survey(surveyInput(documents, scene, { fonts, pixels }), cases).map(summarise);
  const summaries = new Map(found.map((s) => [s.id, s]));
  const told = tellingOf(cases, summaries).map(({ shown, alike }): Told => {
    const { outcome, headline } = summaries.get(shown.id)!;
    const words = headline && `${ownerName(headline.layerId, scene.layers)}: ${headline.words}`;
    return { case: shown.id, name: caseName(shown), outcome, words, like: alike.length };
  });
  return { outcomes: tally(found), cases: told };
}
