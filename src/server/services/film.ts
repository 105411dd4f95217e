import { targetOf } from '@/core/project/launch';
import { createLaunchSurvey, launchIn } from '@/core/launch/survey';
import { framesOf, shownAt, timelineOf, type Start } from '@/core/launch/timeline';
import { findCase } from '@/core/screens/cases';
import type { Drawing } from '@/render/drawing';
import { createFilm } from '@/render/film';
import { knownScreens } from '../catalogue';
import { costOf, costOfFilm, refuseLongFilm, refuseTooLarge } from '../drawing/cost';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { fontsFor } from '../fonts/fonts';
import { notFound, Problem } from '../problem';
import { loadProject } from './projects';

export interface FilmAsked {
  projectId: string;
  launchId: string;
  caseId: string;
  start: Start;
  /** of the system, as the targets of the launch name them; any when absent */
  versions?: string;
  /** px per lu; the screen’s own density when absent */
  scale?: number;
  /** of the request or the job */
  signal?: AbortSignal;
  /** hears how far a film is */
  onProgress?: For['onProgress'];
}

const MOST_SIDE_PX = 4096;
const MOST_FRAMES = 600;

/** The film of one case, ready to be drawn at any time. @throws Problem 404, 422 */
function filmOf({ projectId, launchId, caseId, start, versions, scale }: FilmAsked) {
  const { documents } = loadProject(projectId);
  const launch = launchIn(documents, launchId);
  if (!launch) throw notFound('This launch');
  const found = findCase(caseId, knownScreens(documents.project));
  if (!found) throw notFound('This case');
  const fonts = fontsFor(documents);
  const stages = createLaunchSurvey(documents, launch, { fonts }).on(
    found,
    targetOf(launch, found.screen, versions),
  );
  const film = createFilm(
    stages.map((s) => s.result),
    { scale: scale ?? found.screen.density, glass: true, fonts },
  );
  const plain = stages.map((s) => s.stage);
  const timeline = timelineOf(launch, plain, start);
  const at = (t: number): Drawing => {
    const drawing = film(shownAt(timeline, plain, t));
    if (!drawing) throw new Problem(422, 'No stage of this launch draws anything on this case.');
    refuseTooLarge(drawing, MOST_SIDE_PX);
    return drawing;
  };
  return { at, timeline };
}

/** What is on the screen at a time, as PNG. @param t ms from the tap */
export async function framePng(asked: FilmAsked, t: number): Promise<Buffer> {
  const drawing = filmOf(asked).at(t);
  return drawn(
    { kind: 'paint', input: drawing, cost: costOf(drawing), name: 'This picture' },
    { project: asked.projectId, signal: asked.signal, onProgress: asked.onProgress },
  );
}

/** All pictures of a film, in order, as they are to be drawn. @throws Problem 422 for more than are made in one go */
function pictures(asked: FilmAsked): { drawing: Drawing; ms: number }[] {
  const { at, timeline } = filmOf(asked);
  const frames = framesOf(timeline);
  if (frames.length > MOST_FRAMES)
    throw new Problem(
      422,
      `This film has ${frames.length} pictures; at most ${MOST_FRAMES} are made. Shorten its fades.`,
    );
  return frames.map(({ t, ms }) => ({ drawing: at(t), ms }));
}

/** The film: as a WebP that moves, or as the PNG files of its pictures in a ZIP. */
export async function filmFile(asked: FilmAsked, as: 'webp' | 'png'): Promise<Buffer> {
  const frames = pictures(asked);
  const drawings = frames.map((f) => f.drawing);
  refuseLongFilm(drawings);
  const about = { case: asked.caseId, start: asked.start };
  return drawn(
    {
      kind: 'film',
      input: { frames, as, about },
      cost: costOfFilm(drawings),
      deadlineMs: DRAWING.filmMs,
      name: 'This film',
    },
    { project: asked.projectId, signal: asked.signal, onProgress: asked.onProgress },
  );
}
