import { sceneWith } from '@/core/project/documents';
import { findCase } from '@/core/screens/cases';
import { SHEET_FORMATS, type SHEET_FORMAT_IDS } from '@/formats/sheet/all';
import { buildSheet } from '@/formats/sheet/build';
import { fileLabels } from '@/formats/sheet/file-labels';
import { knownScreens } from '../catalogue';
import { fontsFor } from '../fonts/fonts';
import { notFound } from '../problem';
import { loadProject } from '../services/projects';
import { targetOf } from './target';

interface SheetAsked {
  projectId: string;
  sceneId: string;
  /** a set of screens */
  target: string;
  /** of one’s choice, besides the usual ones */
  case?: string | undefined;
  as: (typeof SHEET_FORMAT_IDS)[number];
}

/** The build sheet of a scene, written down. @throws Problem 404 for a project, scene, set of screens or case that is not there */
export function sheetOf({ projectId, sceneId, target, case: caseId, as }: SheetAsked) {
  const { documents, revision } = loadProject(projectId);
  if (!sceneWith(documents, sceneId)) throw notFound('This scene');
  const chosen = caseId === undefined ? null : findCase(caseId, knownScreens(documents.project));
  if (caseId !== undefined && !chosen) throw notFound('This case');
  const labels = fileLabels(documents.project.pictures);
  const sheet = buildSheet({
    documents,
    revision,
    sceneId,
    target: targetOf(documents.project, target),
    chosen: chosen ?? null,
    fonts: fontsFor(documents),
    address: (hash) => labels.get(hash)!,
  });
  const { write, mediaType } = SHEET_FORMATS.find((f) => f.id === as)!;
  return { text: write(sheet), mediaType };
}
