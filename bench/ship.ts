import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp, { type OverlayOptions } from 'sharp';
import { fontsOfScene } from '../src/core/project/documents';
import { casesOf } from '../src/core/screens/cases';
import { surveyCase, surveyInput } from '../src/core/survey/survey';
import { readOriginal, readOriginalNow } from '../src/server/blobs';
import { screensOf } from '../src/server/catalogue';
import { getDb, migrateDb } from '../src/server/db/client';
import { STORED } from '../src/server/drawing/read';
import { fileHost } from '../src/server/drawing/file-host';
import { fontsFor } from '../src/server/fonts/fonts';
import { seedDemo } from '../src/server/store/seed';
import { loadProject } from '../src/server/services/projects';
import { contactPng } from '../src/render/contact';
import { contactCells } from '../src/render/contact-cells';
import type { Command, Image } from '../src/render/drawing';
import { drawingOf } from '../src/render/painter';
import { paintPng } from '../src/render/sharp';
import { median, report } from './measure';

const ROUNDS = 5;
const MANY = 1000;
const SCENE = 'winter-splash';
const CELL = { width: 200, height: 220 };

/** How long a program runs, ms, in the middle of some runs. @throws where it could not be run */
function wall(args: readonly string[]): number {
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    const { status, stderr } = spawnSync(process.execPath, args, { stdio: ['ignore', 'ignore', 'pipe'] });
    if (status === null || status > 1) throw new Error(stderr.toString());
    return performance.now() - start;
  });
  return median(times);
}

/** The line for a build against a process that does nothing. */
function benchCheck(store: string): void {
  const folder = path.join(store, 'exported');
  const coulee = (...args: string[]) => ['bin/coulee.mjs', ...args];
  wall(coulee('export', '--store', store, '--out', folder));
  const nothing = wall(['-e', '0']);
  report('a process that does nothing', 'ms', nothing);
  report('coulee --version', 'ms', wall(coulee('--version')));
  const one = wall(coulee('check', folder, '--scene', 'winter-splash', '--target', 'phones'));
  report('coulee check of one scene on phones, from a folder', 'ms', one);
  for (const [from, args] of [
    ['a store', ['--store', store]],
    ['a folder', [folder]],
  ] as const) {
    const ms = wall(coulee('check', ...args));
    report(`coulee check of the demo, from ${from}`, 'ms', ms);
    report(`coulee check of the demo, from ${from} ÷ a process that does nothing`, 'ratio', ms / nothing);
  }
}

/** The pictures among the commands of a drawing. */
const imagesIn = (commands: readonly Command[]): Image[] =>
  commands.flatMap((c) => (c.kind === 'image' ? [c] : c.kind === 'group' ? imagesIn(c.commands) : []));

type Cells = Awaited<ReturnType<typeof contactCells>>;

/** The pictures of each cell by the image library alone: each file resized to its rectangle, laid on its cell. */
async function bySharp({ cells }: Cells): Promise<void> {
  for (const { drawing } of cells()) {
    const layers: OverlayOptions[] = [];
    for (const { hash, dest, clip } of imagesIn(drawing.commands)) {
      const [left, top] = [Math.max(0, clip.x - dest.x), Math.max(0, clip.y - dest.y)];
      const part = {
        left,
        top,
        width: Math.min(clip.width, dest.width - left),
        height: Math.min(clip.height, dest.height - top),
      };
      const input = await sharp(await readOriginal(hash))
        .resize(dest.width, dest.height, { fit: 'fill' })
        .extract(part)
        .png({ compressionLevel: 0 })
        .toBuffer();
      layers.push({ input, left: Math.max(clip.x, dest.x), top: Math.max(clip.y, dest.y) });
    }
    const { width, height } = drawing.size;
    await sharp({ create: { width, height, channels: 4, background: '#0000' } })
      .composite(layers)
      .raw()
      .toBuffer();
  }
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** A contact sheet of all cases that can be told apart against the image library alone. */
async function benchContact(): Promise<void> {
  const { documents } = loadProject('larkmoor-ferries');
  const host = fileHost(documents, { bytes: STORED, font: readOriginalNow });
  const asked = { documents, sceneId: SCENE, screens: screensOf(documents.project), cases: 'all' as const };
  const fonts = await host.fonts(fontsOfScene(documents.scenes[SCENE]!));
  const surfaces = { host, fonts, bytes: readOriginal, onStep: () => {} };
  const listed = await contactCells(asked, host, CELL);
  const about = { cells: listed.count };
  const [own, alone]: [number[], number[]] = [[], []];
  for (let i = 0; i < ROUNDS; i++) {
    own.push(await timed(() => contactPng(asked, surfaces)));
    alone.push(await timed(() => bySharp(listed)));
  }
  report('contact sheet of all cases', 'ms', median(own), about);
  report('the same rectangles by sharp alone', 'ms', median(alone), about);
  report('contact sheet ÷ sharp alone', 'ratio', median(own) / median(alone), about);
}

/** A thousand cases as PNG at the px of their screens, one after another: time and memory. */
async function benchMany(): Promise<void> {
  const { documents } = loadProject('larkmoor-ferries');
  const fonts = fontsFor(documents);
  const input = surveyInput(documents, documents.scenes[SCENE]!, { fonts });
  const cases = casesOf(screensOf(documents.project), ['light', 'dark']);
  let most = 0;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
  const ms = await timed(async () => {
    for (let i = 0; i < MANY; i++) {
      const c = cases[i % cases.length]!;
      const drawing = drawingOf(surveyCase(input, c), { scale: c.screen.density, glass: true, fonts });
      await paintPng(drawing, readOriginal);
    }
  });
  clearInterval(watch);
  report('peak memory of 1,000 cases as PNG', 'MB', most / 2 ** 20, { msEach: Math.round(ms / MANY) });
}

/** What leaves the tool: the line for a build, a contact sheet, many pictures. */
const store = mkdtempSync(path.join(tmpdir(), 'coulee-bench-'));
process.env.STORE_DIR = store;
try {
  await migrateDb(getDb(), store);
  await seedDemo();
  benchCheck(store);
  await benchContact();
  await benchMany();
} finally {
  getDb().$client.close();
  rmSync(store, { recursive: true, force: true });
}
