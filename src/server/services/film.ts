import { zipSync } from 'fflate';
import sharp from 'sharp';
import { targetOf } from '@/core/launch/launch';
import { createLaunchSurvey, launchIn } from '@/core/launch/survey';
import { framesOf, shownAt, timelineOf, type Start } from '@/core/launch/timeline';
import { findCase } from '@/core/screens/cases';
import type { Drawing } from '@/render/drawing';
import { createFilm } from '@/render/film';
import { paintPng } from '@/render/sharp';
import { readOriginal } from '../blobs';
import { screensOf } from '../catalogue';
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
}

const MOST_SIDE_PX = 4096;
const MOST_FRAMES = 600;

/** The film of one case, ready to be drawn at any time. @throws Problem 404, 422 */
function filmOf({ projectId, launchId, caseId, start, versions, scale }: FilmAsked) {
  const { documents } = loadProject(projectId);
  const launch = launchIn(documents, launchId);
  if (!launch) throw notFound('This launch');
  const found = findCase(caseId, screensOf(documents.project));
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
    const { width, height } = drawing.size;
    if (Math.max(width, height) > MOST_SIDE_PX || Math.min(width, height) < 1)
      throw new Problem(
        422,
        `A film of ${width} × ${height} px is out of range: 1 to ${MOST_SIDE_PX} px a side.`,
      );
    return drawing;
  };
  return { at, timeline };
}

/** What is on the screen at a time, as PNG. @param t ms from the tap */
export const framePng = (asked: FilmAsked, t: number): Promise<Buffer> =>
  paintPng(filmOf(asked).at(t), readOriginal);

/** All pictures of a film, in order. @throws Problem 422 for more than are made in one go */
async function pictures(asked: FilmAsked): Promise<{ png: Buffer; ms: number }[]> {
  const { at, timeline } = filmOf(asked);
  const frames = framesOf(timeline);
  if (frames.length > MOST_FRAMES)
    throw new Problem(
      422,
      `This film has ${frames.length} pictures; at most ${MOST_FRAMES} are made. Shorten its fades.`,
    );
  const made = [];
  for (const { t, ms } of frames) made.push({ png: await paintPng(at(t), readOriginal), ms: Math.round(ms) });
  return made;
}

/** The film as an animated WebP that runs again and again. */
export async function filmWebp(asked: FilmAsked): Promise<Buffer> {
  const made = await pictures(asked);
  return sharp(
    made.map((m) => m.png),
    { join: { animated: true } },
  )
    .webp({ quality: 92, effort: 2, loop: 0, delay: made.map((m) => m.ms) })
    .toBuffer();
}

/** The film as PNG files in a ZIP, each named by its number and its time, with a list of how long each stands. */
export async function filmZip(asked: FilmAsked): Promise<Uint8Array> {
  const made = await pictures(asked);
  let t = 0;
  const files: Record<string, Uint8Array> = {};
  const list = made.map(({ png, ms }, i) => {
    const file = `${String(i + 1).padStart(3, '0')}-${t}ms.png`;
    files[file] = png;
    const entry = { file, fromMs: t, ms };
    t += ms;
    return entry;
  });
  files['film.json'] = new TextEncoder().encode(
    JSON.stringify({ case: asked.caseId, start: asked.start, frames: list }, null, 2),
  );
  // The pictures are packed already.
  return zipSync(files, { level: 0 });
}
