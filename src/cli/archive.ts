import { fontHashesOf } from '@/formats/folder';
import { openArchive } from '@/server/archives/read';
import type { Opened } from './opened';
import { openedFrom } from './opened-from';

/** A project in a ZIP that was taken along. @throws Problem that says what is wrong with it */
export async function openArchived(file: string): Promise<Opened> {
  const archive = await openArchive(file);
  const fonts = new Map<string, Buffer>();
  for (const hash of fontHashesOf(archive.documents, archive.signOffs))
    fonts.set(hash, await archive.read(hash));
  const { read, close } = archive;
  return openedFrom(archive, { read, font: (hash) => fonts.get(hash)!, close });
}
