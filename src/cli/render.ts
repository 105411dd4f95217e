import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fontsOfScene } from '@/core/project/documents';
import { screensFor } from '@/core/icons/slots';
import { casesOf } from '@/core/screens/cases';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { APPEARANCES } from '@/core/values/values';
import { contactPdf, contactPng } from '@/render/contact';
import { drawingOf } from '@/render/painter';
import { paintPng } from '@/render/sharp';
import { fontsFor } from '@/server/fonts/fonts';
import { casesNamed, open, sceneOf, targetOf, type ProjectAsked } from './asked';
import { createProgress, type Io } from './check';
import { Refusal, type Opened } from './opened';

export interface RenderAsked extends ProjectAsked {
  /** cases by their ids; those that tell most when absent, on a contact sheet, else all */
  case?: string[];
  /** a contact sheet instead of a picture for each case */
  sheet?: boolean;
  /** on a contact sheet: all cases that can be told apart */
  all?: boolean;
  out?: string;
}

/** Each case as PNG at the px of its screen, in a folder. */
async function pictures(opened: Opened, asked: RenderAsked, folder: string, io: Io): Promise<void> {
  const scene = sceneOf(opened, asked.scene);
  const { project } = opened.documents;
  const screens = screensFor(scene, project, targetOf(opened, asked.target).screens);
  const known = screensFor(scene, project, opened.screens);
  const cases = asked.case ? casesNamed(asked.case, known) : casesOf(screens, APPEARANCES);
  const fonts = fontsFor(opened.documents, opened.bytes.font);
  const input = surveyInput(opened.documents, scene, { fonts });
  const progress = createProgress(io);
  mkdirSync(folder, { recursive: true });
  try {
    for (const [i, c] of cases.entries()) {
      const drawing = drawingOf(surveyCase(input, c), { scale: c.screen.density, glass: true, fonts });
      writeFileSync(path.join(folder, `${c.id}.png`), await paintPng(drawing, opened.bytes.original));
      progress.say({ done: i + 1, of: cases.length, doing: `drawing ${c.id}` });
    }
  } finally {
    progress.end();
  }
  io.out(`${cases.length} ${cases.length === 1 ? 'picture was' : 'pictures were'} written to ${folder}.\n`);
}

/** Cases beside one another, as PNG or PDF by the ending of the file. */
async function contactSheet(opened: Opened, asked: RenderAsked, file: string, io: Io): Promise<void> {
  const form = path.extname(file).toLowerCase();
  if (form !== '.png' && form !== '.pdf')
    throw new Refusal(`A contact sheet is a .png or a .pdf: --out cases.png, not ${file}.`);
  const scene = sceneOf(opened, asked.scene);
  const { screens } = targetOf(opened, asked.target);
  const known = screensFor(scene, opened.documents.project, opened.screens);
  const named = asked.case && casesNamed(asked.case, known).map((c) => c.id);
  const cases = named ?? (asked.all ? ('all' as const) : ('telling' as const));
  const { documents, host, bytes } = opened;
  const progress = createProgress(io);
  const surfaces = {
    host,
    fonts: await host.fonts(fontsOfScene(scene)),
    bytes: bytes.original,
    onStep: (done: number, of: number) => progress.say({ done, of, doing: 'drawing its cases' }),
  };
  try {
    const wanted = { documents, sceneId: scene.id, screens: named ? opened.screens : screens, cases };
    const made =
      form === '.png' ? await contactPng(wanted, surfaces) : await contactPdf(wanted, surfaces, scene.name);
    writeFileSync(file, made);
  } finally {
    progress.end();
  }
  io.out(`The contact sheet was written to ${file}.\n`);
}

/** Draws cases of a scene. @throws Refusal */
export async function render(asked: RenderAsked, io: Io): Promise<void> {
  const { out } = asked;
  if (out === undefined)
    throw new Refusal('Say where it is written to: --out DIR for pictures, --out FILE for a contact sheet.');
  const opened = await open(asked);
  try {
    await (asked.sheet ? contactSheet : pictures)(opened, asked, out, io);
  } finally {
    opened.close();
  }
}
