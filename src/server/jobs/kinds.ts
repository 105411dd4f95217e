import { reviewFormat } from '@/formats/all';
import { fileStem } from '@/formats/text/file-name';
import type { JobAsked } from '@/formats/job';
import { LARGEST } from '../drawing/cost';
import { drawn, type For } from '../drawing/drawn';
import { DRAWING } from '../drawing/limits';
import { makeArchive } from '../exports/archive';
import type { ToEncode } from '../drawing/encode';
import { makeEncoded } from '../exports/encoded';
import { makeIcons } from '../exports/icons';
import { makeFiles } from '../exports/files';
import { makePage, type Bytes } from '../exports/page';
import type { Made } from '../exports/made';
import { openOriginal, readOriginal, readOriginalNow } from '../blobs';
import { targetOf } from '../exports/target';
import { notFound, Problem } from '../problem';
import { filmFile } from '../services/film';
import { fileFacts } from '../services/pictures';
import { sceneWith, type Documents } from '@/core/project/documents';
import { screensFor } from '@/core/icons/slots';
import { findCase } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { keptSignOffs } from '../services/kept-sign-offs';
import { loadProject } from '../services/projects';
import { reviewed, toReview } from '../services/review';
import { lastSignOff, signOff } from '../services/sign-offs';

type Options<K extends JobAsked['kind']> = Extract<JobAsked, { kind: K }>['options'];

async function film({ launch, case: caseId, as, ...how }: Options<'film'>, by: For): Promise<Made> {
  const { project: projectId, ...terms } = by;
  const bytes = await filmFile({ projectId, launchId: launch, caseId, ...how, ...terms }, as);
  const name = `launch-${caseId}-${how.start}`;
  return as === 'png'
    ? { content: bytes, name: `${name}.zip`, mediaType: 'application/zip' }
    : { content: bytes, name: `${name}.webp`, mediaType: 'image/webp' };
}

async function report(by: For): Promise<Made> {
  const input = await toReview(by.project);
  const asked = {
    kind: 'report',
    input: { ...input, signOff: await lastSignOff(by.project) },
    cost: LARGEST,
    deadlineMs: DRAWING.filmMs,
    name: 'This report',
  } as const;
  const html = await drawn(asked, by);
  const name = `${fileStem(input.documents.project.name)}-report.html`;
  return { content: Buffer.from(html), name, mediaType: 'text/html' };
}

async function review({ as }: Options<'review'>, by: For): Promise<Made> {
  const input = await toReview(by.project);
  const found = await reviewed(input, by);
  const { write, extension, mediaType } = reviewFormat(as);
  const name = `${fileStem(input.documents.project.name)}-review${extension}`;
  return { content: Buffer.from(write(found)), name, mediaType };
}

async function signed(asked: Options<'sign-off'>, by: For): Promise<Made> {
  const { id, text } = await signOff(asked, by);
  return { content: Buffer.from(text), name: `sign-off-${id}.json`, mediaType: 'application/json' };
}

const STORED_BYTES: Bytes = { original: readOriginal, open: openOriginal, font: readOriginalNow };

/** Cases of a scene beside one another. @throws Problem 404 for a scene that is not there, 422 where no case is */
async function contactSheet(
  { as, cases }: { as: 'contact-png' | 'contact-pdf'; cases: Options<'export'>['cases'] },
  of: { documents: Documents; sceneId: string; screens: readonly Screen[] },
  by: For,
): Promise<Made> {
  const scene = sceneWith(of.documents, of.sceneId);
  if (!scene) throw notFound('This scene');
  const known = screensFor(scene, of.documents.project, of.screens);
  if (Array.isArray(cases) && !cases.some((id) => findCase(id, known)))
    throw new Problem(422, `None of these is a case of these screens: ${cases.slice(0, 3).join(', ')}.`);
  const form = as === 'contact-png' ? 'png' : 'pdf';
  const content = await drawn(
    {
      kind: 'contact',
      input: { ...of, cases, as: form },
      cost: LARGEST,
      deadlineMs: DRAWING.filmMs,
      name: 'This contact sheet',
    },
    by,
  );
  const mediaType = form === 'png' ? 'image/png' : 'application/pdf';
  return { content, name: `${fileStem(scene.name)}-cases.${form}`, mediaType };
}

/** The files of pictures in a ZIP, as they are or encoded anew. @throws Problem */
async function files(documents: Documents, options: Options<'export'>, by: For): Promise<Made> {
  const { pattern, only, encoding } = options;
  const input = { documents, pattern, only, facts: fileFacts(documents) };
  if (!encoding) return makeFiles(input, STORED_BYTES, by.onProgress);
  const encode = (asked: ToEncode) =>
    drawn(
      {
        kind: 'encode',
        input: asked,
        cost: LARGEST,
        deadlineMs: DRAWING.decodeMs,
        name: 'The encoding of these files',
      },
      by,
    );
  return makeEncoded({ ...input, encoding }, STORED_BYTES, encode);
}

/** @throws Problem 404 for a scene or a target that is not there */
async function exported(options: Options<'export'>, by: For): Promise<Made> {
  const { as, target } = options;
  const { documents, revision } = loadProject(by.project);
  const { project } = documents;
  const { screens } = targetOf(project, target);
  const sceneId = options.scene ?? project.scenes[0] ?? '';
  switch (as) {
    case 'page':
      return makePage({ documents, sceneId, screens }, STORED_BYTES, by);
    case 'contact-png':
    case 'contact-pdf':
      return contactSheet({ ...options, as }, { documents, sceneId, screens }, by);
    case 'icons':
      return makeIcons({ documents, sceneId }, (asked) =>
        drawn(
          {
            kind: 'icons',
            input: asked,
            cost: LARGEST,
            deadlineMs: DRAWING.filmMs,
            name: 'The files of this icon',
          },
          by,
        ),
      );
    case 'report':
      return report(by);
    case 'archive':
      return makeArchive(
        { documents, revision, signOffs: keptSignOffs(by.project) },
        STORED_BYTES,
        by.onProgress,
      );
    case 'files':
      return files(documents, options, by);
  }
}

/** Makes what was asked for. @throws Problem, in words with a way out */
export async function make(asked: JobAsked, by: For): Promise<Made> {
  switch (asked.kind) {
    case 'film':
      return film(asked.options, by);
    case 'review':
      return review(asked.options, by);
    case 'sign-off':
      return signed(asked.options, by);
    case 'export':
      return exported(asked.options, by);
  }
}
