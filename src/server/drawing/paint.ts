import { zipSync } from 'fflate';
import sharp from 'sharp';
import type { Drawing } from '@/render/drawing';
import type { TaskProgress } from '../progress';
import { paintPng } from '@/render/sharp';
import { readOriginal } from '../blobs';

export const paint = (drawing: Drawing): Promise<Buffer> => paintPng(drawing, readOriginal);

export interface ToFilm {
  /** in order, each with how long it stands */
  frames: { drawing: Drawing; ms: number }[];
  as: 'webp' | 'png';
  /** what is written into the list of a ZIP besides its pictures */
  about: Record<string, unknown>;
}

type Painted = { png: Buffer; ms: number }[];

/** Runs again and again. */
const webp = (made: Painted): Promise<Buffer> =>
  sharp(
    made.map((m) => m.png),
    { join: { animated: true } },
  )
    .webp({ quality: 92, effort: 2, loop: 0, delay: made.map((m) => Math.round(m.ms)) })
    .toBuffer();

/** The first time that a ZIP can name: the same pictures are the same file, whenever it is made. */
const EARLIEST = new Date(1980, 0, 1);

/** PNG files in a ZIP, each named by its number and its time, with a list of how long each stands. */
function zip(made: Painted, about: ToFilm['about']): Buffer {
  let t = 0;
  const files: Record<string, Uint8Array> = {};
  const list = made.map(({ png, ms }, i) => {
    const file = `${String(i + 1).padStart(3, '0')}-${t}ms.png`;
    files[file] = png;
    const entry = { file, fromMs: t, ms: Math.round(ms) };
    t += Math.round(ms);
    return entry;
  });
  files['film.json'] = new TextEncoder().encode(JSON.stringify({ ...about, frames: list }, null, 2));
  // The pictures are packed already.
  return Buffer.from(zipSync(files, { level: 0, mtime: EARLIEST }));
}

/** @param onStep called after each picture, so that a long film is not taken for one that hangs */
export async function film(
  { frames, as, about }: ToFilm,
  onStep: (progress: TaskProgress) => void,
): Promise<Buffer> {
  const made: Painted = [];
  const of = frames.length;
  for (const { drawing, ms } of frames) {
    made.push({ png: await paint(drawing), ms });
    onStep({
      done: made.length,
      of,
      doing: made.length < of ? 'drawing its pictures' : 'putting them together',
    });
  }
  return as === 'png' ? zip(made, about) : webp(made);
}
