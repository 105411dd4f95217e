import type { Readable } from 'node:stream';
import { filesOfScene, sceneWith, type Documents } from '@/core/project/documents';
import type { Screen } from '@/core/screens/screen';
import { surveyInput } from '@/core/survey/survey';
import { brokenTexts } from '@/formats/css/broken';
import { scenePage } from '@/formats/css/page';
import { fileStem } from '@/formats/text/file-name';
import { dataAddresses } from '../importing/data-address';
import type { For } from '../drawing/drawn';
import { pageFaces } from '../importing/faces';
import { fontsFor } from '../fonts/fonts';
import { notFound } from '../problem';
import type { Made } from './made';

/** Where the bytes of files and fonts are taken from. */
export interface Bytes {
  original: (hash: string) => Promise<Buffer>;
  /** the same, to be read bit by bit */
  open: (hash: string) => Promise<Readable>;
  font: (hash: string) => Buffer;
}

/**
 * A scene as a page of HTML and CSS that needs nothing else.
 * @param screens those that it is for @throws Problem 404 without such a scene, 410 for a file that is lost
 */
export async function makePage(
  { documents, sceneId, screens }: { documents: Documents; sceneId: string; screens: readonly Screen[] },
  from: Bytes,
  by: For,
): Promise<Made> {
  const scene = sceneWith(documents, sceneId);
  if (!scene) throw notFound('This scene');
  const { pictures, named } = documents.project;
  const files = await dataAddresses(filesOfScene(scene, pictures), from.original, by);
  const input = surveyInput(documents, scene, { fonts: fontsFor(documents, from.font), pixels: null });
  const broken = brokenTexts(input, screens);
  const { html } = scenePage({
    scene,
    pictures,
    named,
    screens,
    title: scene.name,
    faces: pageFaces(scene, from.font),
    address: (hash) => files.get(hash)!,
    breaks: (id) => broken.has(id),
  });
  return {
    content: Buffer.from(html),
    name: `${fileStem(scene.name)}.html`,
    mediaType: 'text/html; charset=utf-8',
  };
}
