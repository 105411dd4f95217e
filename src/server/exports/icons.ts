import { isIcon } from '@/core/icons/slots';
import { sceneWith } from '@/core/project/documents';
import { countOf } from '@/core/words/words';
import { fileStem } from '@/formats/text/file-name';
import type { DrawnIcon, ToIcons } from '../drawing/icons';
import { notFound, Problem } from '../problem';
import type { Made } from './made';
import { zipOf } from './zip';

/** The scene of which icons are made. @throws Problem 404 without such a scene, 422 for one that is no icon */
export function iconOf({ documents, sceneId }: ToIcons) {
  const scene = sceneWith(documents, sceneId);
  if (!scene) throw notFound('This scene');
  if (!isIcon(scene))
    throw new Problem(
      422,
      `“${scene.name}” is no icon. Choose one, or make one under “Scenes” by “new icon”.`,
    );
  return scene;
}

/** What there is to say of the files of an icon. */
export function sayIcons(files: readonly DrawnIcon[]): string {
  const white = files.filter((f) => f.onWhite).length;
  const made = `${countOf(files.length, 'file')} of the icon.`;
  if (white === 0) return made;
  return `${made} ${white === 1 ? 'One of them is' : `${white} of them are`} see-through where no file may be, and stand${white === 1 ? 's' : ''} on white: give the plate square corners, or lay a ground under it.`;
}

/**
 * All files of an icon in a ZIP, a folder for each set of slots.
 * @param draw has them drawn @throws Problem as above
 */
export async function makeIcons(
  asked: ToIcons,
  draw: (asked: ToIcons) => Promise<DrawnIcon[]>,
): Promise<Made> {
  const scene = iconOf(asked);
  const files = await draw(asked);
  return {
    content: zipOf(files.map(({ path, bytes }) => ({ path, content: bytes, pack: false }))),
    name: `${fileStem(scene.name)}-icons.zip`,
    mediaType: 'application/zip',
    said: sayIcons(files),
  };
}
