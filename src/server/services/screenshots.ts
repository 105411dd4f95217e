import { screensFor } from '@/core/icons/slots';
import { sceneWith } from '@/core/project/documents';
import { casesOfSize, heldPx, scaleOf } from '@/core/screenshot/of-size';
import { agrees, opinionOf } from '@/core/screenshot/opinion';
import type { Rect, Size } from '@/core/geometry/rect';
import { casesOf, findCase, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { caseName } from '@/core/screens/words';
import { CaseResult, heldByNothing, type LayerResult } from '@/core/survey/result';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import type { Evidence } from '@/core/project/proof';
import { drawingOf } from '@/render/painter';
import { readOriginal } from '../blobs';
import { knownScreens } from '../catalogue';
import { LARGEST } from '../drawing/cost';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { fontsFor } from '../fonts/fonts';
import { keepFile } from '../importing/picture';
import { notFound, Problem } from '../problem';
import { rowOf } from './pictures';
import { loadProject } from './projects';

/** A screenshot, and the case that it is said to be of. */
export interface Asked {
  project: string;
  scene: string;
  case: string;
  name: string;
  bytes: Buffer;
  /** lu; the bars of the screen and all letters when absent */
  ignored?: readonly Rect[];
}

/** How far layers are searched, lu. */
const REACH = 16;

/** Why a screenshot is none of a case, with the screens that it may be of. */
function refuse(shot: Size, c: Case, screens: readonly Screen[]): Problem {
  const own = heldPx(c);
  const size = ({ width, height }: Size) => `${width} × ${height} px`;
  const alike = casesOfSize(casesOf(screens, ['light']), shot);
  const way =
    alike.length > 0
      ? `It may be of ${alike
          .slice(0, 3)
          .map((o) => caseName(o))
          .join(', or ')}: choose that case.`
      : 'No screen of the project has that size: choose another case, or add the screen under “screens and sets”.';
  return new Problem(422, `This screenshot has ${size(shot)}, and ${caseName(c)} has ${size(own)}. ${way}`);
}

/** Layers that are looked for one by one: what holds others is seen by them. */
const isLookedFor = (l: CaseResult['layers'][number], { layers }: CaseResult) =>
  l.kind !== 'ground' && l.opacity > 0 && !layers.some((o) => o.kind !== 'ground' && o.parent === l.id);

/** A kept screenshot of a case. */
interface KeptShot extends Pick<Evidence, 'scene' | 'case' | 'name' | 'hash'> {
  project: string;
  size: Size;
}

/** The case that a screenshot is of, surveyed. @throws Problem 404, 422 for a screenshot of another screen */
function surveyed({ project: projectId, scene: sceneId, case: caseId, size }: KeptShot) {
  const { documents, revision } = loadProject(projectId);
  const scene = sceneWith(documents, sceneId);
  if (!scene) throw notFound('This scene');
  const screens = screensFor(scene, documents.project, knownScreens(documents.project));
  const c = findCase(caseId, screens);
  if (!c) throw notFound('This case');
  const scale = scaleOf(size, heldPx(c));
  if (scale === null) throw refuse(size, c, screens);
  const fonts = fontsFor(documents);
  const result = surveyCase(surveyInput(documents, scene, { fonts }), c);
  const draw = (of: CaseResult) => drawingOf(of, { scale: c.screen.density, glass: false, fonts });
  return { c, revision, scale, result, draw };
}

const timesEach = (by: number, { x, y, width, height }: Rect): Rect => ({
  x: x * by,
  y: y * by,
  width: width * by,
  height: height * by,
});

/** What is drawn over one of the layers. */
function above(layers: CaseResult['layers'], at: number): LayerResult[] {
  const over = layers.slice(at + 1);
  const ids = new Set(over.map((l) => l.id));
  return over.map((l) =>
    l.kind !== 'ground' && l.parent !== undefined && !ids.has(l.parent) ? heldByNothing(l) : l,
  );
}

/** Where letters stand, which each system draws in its own way, lu. */
const lettersOf = ({ layers }: CaseResult): Rect[] =>
  layers.flatMap((l) => (l.kind === 'text' && l.opacity > 0 ? [timesEach(1, l.box)] : []));

/** What a screenshot says of its case. @param ignored lu; the bars of the screen and all letters when absent */
async function hold(shot: KeptShot, ignored: readonly Rect[] | undefined, by: For) {
  const { c, revision, scale, result, draw } = surveyed(shot);
  const { density } = c.screen;
  const only = (layers: CaseResult['layers']) => draw(new CaseResult({ ...result, layers }));
  const heldAgainst = (layer: CaseResult['layers'][number], at: number) => ({
    id: layer.id,
    name: layer.name,
    without: only(result.layers.filter((l) => l !== layer)),
    above: only(above(result.layers, at)),
  });
  const left = ignored ?? [...result.bars.map((b) => timesEach(1, b.rect)), ...lettersOf(result)];
  const input = {
    hash: shot.hash,
    whole: draw(result),
    layers: result.layers.flatMap((l, at) => (isLookedFor(l, result) ? [heldAgainst(l, at)] : [])),
    ignored: left.map((r) => timesEach(density, r)),
    reach: Math.round(REACH * density),
  };
  const { layers, differing, rest, picture } = await drawn(
    { kind: 'holdScreenshot', input, cost: LARGEST, deadlineMs: DRAWING.decodeMs, name: 'This comparison' },
    by,
  );
  const said = {
    revision,
    scale,
    ignored: [...left],
    layers: layers.map((l) => ({
      id: l.id,
      name: l.name,
      state: l.located.state,
      agrees: agrees(l),
      found: l.located.state === 'found' ? l.located.at : null,
    })),
    opinion: opinionOf(layers, rest),
    differing,
    unexplained: rest.share,
  };
  return { said, picture: Buffer.from(picture) };
}

/** What is said of a kept screenshot, with the picture that marks where both differ kept beside it. */
async function said(shot: KeptShot, ignored: readonly Rect[] | undefined, by: For): Promise<Evidence> {
  const found = await hold(shot, ignored, by);
  const { hash: picture } = await keepFile(found.picture, `where ${shot.name} differs`, by);
  const { scene, case: caseId, name, hash } = shot;
  const at = new Date().toISOString();
  return { id: crypto.randomUUID(), scene, case: caseId, name, hash, picture, at, ...found.said };
}

/**
 * Holds a screenshot against a case. Both files are kept; a step of the project that refers to them makes it evidence.
 * @throws Problem 404 for a scene or a case that is not there, 422 for a screenshot of another screen
 */
export async function holdScreenshot(asked: Asked, by: For): Promise<Evidence> {
  const { project, scene, case: caseId, name, bytes } = asked;
  const { hash, widthPx: width, heightPx: height } = await keepFile(bytes, name, by);
  return said({ project, scene, case: caseId, name, hash, size: { width, height } }, asked.ignored, by);
}

/**
 * Holds a screenshot that is kept against its case as it is now, with other parts left out.
 * @throws Problem 404, 422 where its screen is another one by now
 */
export function holdAgain(
  project: string,
  { ignored, ...shot }: Pick<Evidence, 'scene' | 'case' | 'name' | 'hash' | 'ignored'>,
  by: For,
): Promise<Evidence> {
  const { widthPx: width, heightPx: height } = rowOf(shot.hash);
  return said({ ...shot, project, size: { width, height } }, ignored, by);
}

/** The screenshots that are kept with a project, the latest first. @throws Problem 404 */
export const listScreenshots = (projectId: string): Evidence[] =>
  (loadProject(projectId).documents.project.evidence ?? []).toReversed();

/** Where a screenshot differs from its case, as PNG. @throws Problem 404, 410 where the file was lost */
export async function screenshotDifference(projectId: string, id: string): Promise<Buffer> {
  const found = listScreenshots(projectId).find((e) => e.id === id);
  if (!found) throw notFound('This screenshot');
  return readOriginal(found.picture);
}
