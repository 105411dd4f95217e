import type { Ink } from '@/core/pixels/ink';
import { inkFiles } from '@/core/files/check';
import { reviewFormat } from '@/formats/all';
import { fileStem } from '@/formats/file-name';
import type { JobAsked } from '@/formats/job';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { Problem } from '../problem';
import { filmFile } from '../services/film';
import { statistics } from '../services/pictures';
import { loadProject } from '../services/projects';

/** A file that a job has made. */
export interface Made {
  bytes: Buffer;
  /** for whoever keeps it */
  name: string;
  mediaType: string;
}

/** Where the ink of the files of a project lies, as the store knows it or now works it out; lost files are left out. */
async function inkOf(hashes: readonly string[]): Promise<Map<string, Ink | null>> {
  const found = new Map<string, Ink | null>();
  for (const hash of hashes) {
    try {
      found.set(hash, (await statistics(hash)).ink);
    } catch (error) {
      if (!(error instanceof Problem)) throw error;
    }
  }
  return found;
}

type Options<K extends JobAsked['kind']> = Extract<JobAsked, { kind: K }>['options'];

async function film({ launch, case: caseId, as, ...how }: Options<'film'>, by: For): Promise<Made> {
  const { project: projectId, ...terms } = by;
  const bytes = await filmFile({ projectId, launchId: launch, caseId, ...how, ...terms }, as);
  const name = `launch-${caseId}-${how.start}`;
  return as === 'png'
    ? { bytes, name: `${name}.zip`, mediaType: 'application/zip' }
    : { bytes, name: `${name}.webp`, mediaType: 'image/webp' };
}

async function review({ as }: Options<'review'>, by: For): Promise<Made> {
  const { documents, revision } = loadProject(by.project);
  const ink = await inkOf(inkFiles(documents.project.pictures));
  const found = await drawn(
    {
      kind: 'review',
      input: { documents, revision, ink },
      // As large as may be, so that nothing small waits for it.
      cost: DRAWING.large + 1,
      deadlineMs: DRAWING.decodeMs,
      name: 'This review',
    },
    by,
  );
  const { write, extension, mediaType } = reviewFormat(as);
  const name = `${fileStem(documents.project.name)}-review${extension}`;
  return { bytes: Buffer.from(write(found)), name, mediaType };
}

/** Makes what was asked for. @throws Problem, in words with a way out */
export const make = (asked: JobAsked, by: For): Promise<Made> =>
  asked.kind === 'film' ? film(asked.options, by) : review(asked.options, by);
