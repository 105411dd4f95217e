import { and, desc, eq } from 'drizzle-orm';
import { screensFor } from '@/core/icons/slots';
import { sceneWith } from '@/core/project/documents';
import { agrees, opinionOf } from '@/core/screenshot/opinion';
import type { Rect, Size } from '@/core/geometry/rect';
import { casesOf, findCase, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { isSideways } from '@/core/screens/turn';
import { caseName } from '@/core/screens/words';
import { CaseResult } from '@/core/survey/result';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { Evidence } from '@/formats/evidence';
import { drawingOf } from '@/render/painter';
import { knownScreens } from '../catalogue';
import { getDb, writing } from '../db/client';
import { evidence } from '../db/schema';
import { LARGEST } from '../drawing/cost';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { fontsFor } from '../fonts/fonts';
import { keepFile } from '../pictures/import';
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
  /** lu; the bars of the screen when absent */
  ignored?: readonly Rect[];
}

/** How far apart the two extents of a screenshot may say its scale, px of the screenshot. */
const ROUNDED = 1.01;
/** How far layers are searched, lu. */
const REACH = 16;

/** Screenshot px per px of a screen; `null` where it is of another shape. */
function scaleOf(shot: Size, screen: Size): number | null {
  const scale = shot.width / screen.width;
  return Math.abs(screen.height * scale - shot.height) <= ROUNDED ? scale : null;
}

const pxOf = ({ screen, rotation }: Case): Size => {
  const { width, height } = screen.framebufferPx;
  return isSideways(rotation) ? { width: height, height: width } : { width, height };
};

/** Why a screenshot is none of a case, with the screens that it may be of. */
function refuse(shot: Size, c: Case, screens: readonly Screen[]): Problem {
  const own = pxOf(c);
  const size = ({ width, height }: Size) => `${width} × ${height} px`;
  const alike = casesOf(screens, ['light']).filter((o) => {
    const px = pxOf(o);
    return px.width === shot.width && px.height === shot.height;
  });
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
  const scale = scaleOf(size, pxOf(c));
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

/** What a screenshot says of its case. @param ignored lu; the bars of the screen when absent */
async function hold(shot: KeptShot, ignored: readonly Rect[] | undefined, by: For) {
  const { c, revision, scale, result, draw } = surveyed(shot);
  const { density } = c.screen;
  const without = (id: string) =>
    draw(new CaseResult({ ...result, layers: result.layers.filter((l) => l.id !== id) }));
  const left = ignored ?? result.bars.map((b) => timesEach(1, b.rect));
  const input = {
    hash: shot.hash,
    whole: draw(result),
    layers: result.layers
      .filter((l) => isLookedFor(l, result))
      .map(({ id, name }) => ({ id, name, without: without(id) })),
    ignored: left.map((r) => timesEach(density, r)),
    reach: Math.round(REACH * density),
  };
  const { layers, differing, picture } = await drawn(
    { kind: 'holdScreenshot', input, cost: LARGEST, deadlineMs: DRAWING.decodeMs, name: 'This comparison' },
    by,
  );
  const said = {
    revision,
    scale,
    ignored: [...left],
    layers: layers.map((l) => ({ ...l, agrees: agrees(l) })),
    opinion: opinionOf(layers),
    differing,
  };
  return { said, picture: Buffer.from(picture) };
}

/**
 * Holds a screenshot against a case, and keeps both.
 * @throws Problem 404 for a scene or a case that is not there, 422 for a screenshot of another screen
 */
export async function holdScreenshot(asked: Asked, by: For): Promise<Evidence> {
  const { project, scene, case: caseId, name, bytes } = asked;
  const { hash, widthPx: width, heightPx: height } = await keepFile(bytes, name, by);
  const shot = { scene, case: caseId, name, hash };
  const { said, picture } = await hold({ ...shot, project, size: { width, height } }, asked.ignored, by);
  const found: Evidence = { id: crypto.randomUUID(), ...shot, at: new Date().toISOString(), ...said };
  const row = { projectId: project, id: found.id, body: JSON.stringify(found), picture };
  writing((tx) => tx.insert(evidence).values(row).run());
  return found;
}

/**
 * Holds a kept screenshot against its case as it is now, with other parts left out.
 * @throws Problem 404, 422 where its screen is another one by now
 */
export async function holdAgain(
  project: string,
  id: string,
  ignored: readonly Rect[],
  by: For,
): Promise<Evidence> {
  const was = listScreenshots(project).find((e) => e.id === id);
  if (!was) throw notFound('This screenshot');
  const { widthPx: width, heightPx: height } = rowOf(was.hash);
  const { said, picture } = await hold({ ...was, project, size: { width, height } }, ignored, by);
  const found: Evidence = { ...was, ...said };
  const row = { body: JSON.stringify(found), picture };
  writing((tx) => tx.update(evidence).set(row).where(isThat(project, id)).run());
  return found;
}

/** The screenshots that are kept with a project, the latest first. @throws Problem 404 */
export function listScreenshots(projectId: string): Evidence[] {
  loadProject(projectId);
  return getDb()
    .select({ body: evidence.body })
    .from(evidence)
    .where(eq(evidence.projectId, projectId))
    .orderBy(desc(evidence.number))
    .all()
    .map(({ body }) => Evidence.parse(JSON.parse(body)));
}

const isThat = (projectId: string, id: string) => and(eq(evidence.projectId, projectId), eq(evidence.id, id));

/** Where a screenshot differs from its case, as PNG. @throws Problem 404 */
export function screenshotDifference(projectId: string, id: string): Buffer {
  const row = getDb().select({ picture: evidence.picture }).from(evidence).where(isThat(projectId, id)).get();
  if (!row) throw notFound('This screenshot');
  return row.picture;
}

/** Lets one go. @throws Problem 404 */
export function removeScreenshot(projectId: string, id: string): void {
  const { changes } = writing((tx) => tx.delete(evidence).where(isThat(projectId, id)).run());
  if (changes === 0) throw notFound('This screenshot');
}
