import catalogue from '../data/screens.json';
import { demoDocuments } from '../demo/documents';
import { demoRenditions } from '../demo/testing';
import { fromSize } from '../src/core/geometry/rect';
import { placePicture, type FitInput } from '../src/core/fit/place';
import type { Fit } from '../src/core/fit/rule';
import { naturalSizeOf } from '../src/core/pictures/choose';
import { lu, APPEARANCES } from '../src/core/values/values';
import { casesOf } from '../src/core/screens/cases';
import { readCatalogue } from '../src/core/screens/catalogue';
import { distinctCases } from '../src/core/screens/likeness';
import { turn } from '../src/core/screens/turn';
import { survey, surveyInput } from '../src/core/survey/survey';
import { medianMs, report } from './measure';
import { hashOf } from './pixels';

const documents = demoDocuments((id) => demoRenditions(id, (file) => hashOf(id, file)));
const { project } = documents;
const scene = documents.scenes['winter-splash']!;
export const sceneInput = (id: string) => surveyInput(documents, documents.scenes[id]!, { fonts: null });
export const input = sceneInput(scene.id);
export const cases = distinctCases(casesOf(readCatalogue(catalogue), APPEARANCES)).map((c) => c.shown);

const cover: Fit = {
  size: 'cover',
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align: {
    kind: 'position',
    x: { percent: 50, offset: lu(0) },
    y: { percent: 50, offset: lu(0) },
  },
  clip: true,
  cornerRadius: lu(0),
};
const natural = naturalSizeOf(project.pictures[0]!.cuts[0]!.renditions[0]!);
const placements: FitInput[] = cases.map((c) => {
  const screen = fromSize(turn(c.screen, c.rotation).size);
  return { fit: cover, natural, box: screen, screen, density: c.screen.density };
});

const REPEATS = 200;

/** How fast the core is, and what a survey costs beyond the bare placing of as many pictures. */
export function benchSurvey(): void {
  const bareMs = medianMs(() => {
    for (let i = 0; i < REPEATS; i++) for (const p of placements) placePicture(p);
  });
  report('placements', 'per ms', (placements.length * REPEATS) / bareMs);
  report('as many bare cover placements as there are cases', 'ms', bareMs / REPEATS);
  const surveyMs = medianMs(() => survey(input, cases));
  const about = { cases: cases.length, layers: scene.layers.length };
  report('survey of all distinct cases', 'ms', surveyMs, about);
  report('survey ÷ as many bare cover placements', 'ratio', surveyMs / (bareMs / REPEATS), about);
}
