import sharp from 'sharp';
import { iconFiles, type IconFile } from '@/core/icons/files';
import { slotScreens } from '@/core/icons/slots';
import { versionOf } from '@/core/icons/versions';
import { sceneWith, type Documents } from '@/core/project/documents';
import { findCase } from '@/core/screens/cases';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import type { Fonts } from '@/render/fonts';
import { drawingOf } from '@/render/painter';
import { paintPng } from '@/render/sharp';
import { readOriginal } from '../blobs';
import { fontsFor } from '../fonts/fonts';
import type { TaskProgress } from '../progress';
import { saying } from './steps';

export interface ToIcons {
  documents: Documents;
  sceneId: string;
}

export interface DrawnIcon {
  path: string;
  bytes: Buffer;
  /** that it was see-through where it may not be, and stands on white */
  onWhite: boolean;
}

type Read = (hash: string) => Promise<Buffer>;

/** What stands behind a file that may not be see-through and is. */
const WHITE = '#ffffff';

/** A file that may not be see-through has no alpha at all. */
async function withoutAlpha(png: Buffer): Promise<{ bytes: Buffer; onWhite: boolean }> {
  const image = sharp(png);
  const { isOpaque } = await image.stats();
  const bytes = await image.flatten({ background: WHITE }).png().toBuffer();
  return { bytes, onWhite: !isOpaque };
}

/** One file of an icon, drawn at its own px, without its mask. */
async function drawIcon(file: IconFile, { documents, sceneId }: ToIcons, fonts: Fonts | null, read: Read) {
  const scene = versionOf(sceneWith(documents, sceneId)!, file.version);
  const c = findCase(file.caseId, slotScreens(documents.project))!;
  const result = surveyCase(surveyInput(documents, scene, { fonts }), c);
  const drawing = drawingOf(result, { scale: c.screen.density, fonts });
  const png = await paintPng(drawing, read);
  return file.opaque ? withoutAlpha(png) : { bytes: png, onWhite: false };
}

/**
 * All files of an icon. A dark one that looks as the light one does is left out.
 * @param read gives the bytes of files @param say hears how far it is, and waits
 */
export async function drawIcons(
  asked: ToIcons,
  fonts: Fonts | null,
  read: Read,
  say: (progress: TaskProgress) => Promise<void>,
): Promise<DrawnIcon[]> {
  const files = iconFiles(asked.documents.project);
  const drawn: DrawnIcon[] = [];
  let light: Buffer | null = null;
  for (const [done, file] of files.entries()) {
    const made = await drawIcon(file, asked, fonts, read);
    // The dark file of a slot comes right behind its light one.
    if (file.appearance === 'light') light = made.bytes;
    if (file.appearance === 'light' || !light?.equals(made.bytes)) drawn.push({ path: file.path, ...made });
    await say({ done: done + 1, of: files.length, doing: 'drawing its files' });
  }
  return drawn;
}

/** The same of kept files. @param onStep hears how far it is */
export const icons = (asked: ToIcons, onStep: (progress?: TaskProgress) => void): Promise<DrawnIcon[]> =>
  drawIcons(asked, fontsFor(asked.documents), readOriginal, saying(onStep));
