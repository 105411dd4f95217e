import { isIcon } from '@/core/icons/slots';
import { scenesInOrder } from '@/core/project/documents';
import { countOf } from '@/core/words/words';
import { drawIcons, type ToIcons } from '@/server/drawing/icons';
import { iconOf, makeIcons, sayIcons } from '@/server/exports/icons';
import { fontsFor } from '@/server/fonts/fonts';
import { open, sceneOf, type ProjectAsked } from './asked';
import { createProgress, type Io } from './check';
import { writeZip } from './files';
import { heldFile, isFolder, writeFiles } from './in-folder';
import { Refusal, type Opened } from './opened';

export interface IconsAsked extends ProjectAsked {
  /** a ZIP, or a folder: one that is there, or written with / at its end */
  out?: string;
}

/** The icon that is meant: the one that is named, or the only one. @throws Refusal */
function iconIn(opened: Opened, wanted: string | undefined): string {
  const all = scenesInOrder(opened.documents).filter(isIcon);
  if (wanted !== undefined || all.length !== 1) return sceneOf(opened, wanted).id;
  return all[0]!.id;
}

/**
 * Draws all files of an icon, into a folder or a ZIP.
 * @throws Refusal where it is not said where to; Problem for a scene that is no icon
 */
export async function icons(asked: IconsAsked, io: Io): Promise<void> {
  const { out } = asked;
  if (out === undefined)
    throw new Refusal('Say where the files are written to: --out FILE.zip or --out FOLDER/.');
  const opened = await open(asked);
  const progress = createProgress(io);
  try {
    const { documents, bytes } = opened;
    const fonts = fontsFor(documents, bytes.font);
    const draw = (of: ToIcons) => drawIcons(of, fonts, bytes.original, async (p) => progress.say(p));
    const of: ToIcons = { documents, sceneId: iconIn(opened, asked.scene) };
    if (!isFolder(out)) {
      const made = await makeIcons(of, draw);
      await writeZip(made, out, io);
      io.out(`${made.said}\n`);
      return;
    }
    iconOf(of);
    const drawn = await draw(of);
    const files = drawn.map((f) => heldFile(f.path, f.bytes));
    const { written, unchanged } = await writeFiles(out, files);
    io.out(`${countOf(written, 'file')} written to ${out}, ${unchanged} unchanged.\n${sayIcons(drawn)}\n`);
  } finally {
    progress.end();
    opened.close();
  }
}
