import { fontsFor } from '@/server/fonts/fonts';
import { wholeOf } from '@/server/exports/made';
import { makePage } from '@/server/exports/page';
import { fileLabels } from '@/formats/sheet/file-labels';
import { SHEET_FORMATS, type SHEET_FORMAT_IDS } from '@/formats/sheet/all';
import { buildSheet } from '@/formats/sheet/build';
import { casesNamed, open, sceneOf, targetOf, type ProjectAsked } from './asked';
import { write, type Io } from './check';

export interface SheetAsked extends ProjectAsked {
  as: (typeof SHEET_FORMAT_IDS)[number];
  /** a case of one's choice, besides the usual ones */
  case?: string;
  out?: string;
}

/** Writes the build sheet of a scene. */
export async function sheet(asked: SheetAsked, io: Io): Promise<void> {
  const opened = await open(asked);
  try {
    const { documents, revision } = opened;
    const chosen = asked.case === undefined ? null : casesNamed([asked.case], opened.screens)[0]!;
    const labels = fileLabels(documents.project.pictures);
    const made = buildSheet({
      documents,
      revision,
      sceneId: sceneOf(opened, asked.scene).id,
      target: targetOf(opened, asked.target),
      chosen,
      fonts: fontsFor(documents, opened.bytes.font),
      address: (hash) => labels.get(hash)!,
    });
    write(SHEET_FORMATS.find((f) => f.id === asked.as)!.write(made), asked, io);
  } finally {
    opened.close();
  }
}

/** Writes a scene as a page that lays itself out on any screen. */
export async function page(asked: ProjectAsked & { out?: string }, io: Io): Promise<void> {
  const opened = await open(asked);
  try {
    const { screens } = targetOf(opened, asked.target);
    const sceneId = sceneOf(opened, asked.scene).id;
    const { documents, bytes } = opened;
    const made = await makePage({ documents, sceneId, screens }, bytes, { project: documents.project.id });
    write(await wholeOf(made), asked, io);
  } finally {
    opened.close();
  }
}
