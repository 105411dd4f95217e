import { createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import sharp from 'sharp';
import { Derivation, pxOfPart } from '../src/core/pictures/derive';
import type { KeptFile } from '../src/core/pictures/kept-file';
import { readOriginal } from '../src/server/blobs';
import { getDb, migrateDb } from '../src/server/db/client';
import { make } from '../src/server/drawing/make';
import { zipOf, type Entry } from '../src/server/exports/zip';
import { keepFile } from '../src/server/importing/picture';
import { median, report } from './measure';

const ROUNDS = 5;
const COUNT = 200;
const SIDE = { width: 1200, height: 900 };

/** A photograph, so to speak: hills of light with grain. */
function photo(): Promise<Buffer> {
  const { width, height } = SIDE;
  const data = Buffer.alloc(width * height * 3);
  let state = 11;
  for (let i = 0; i < data.length; i++) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    const [x, y] = [(i / 3) % width, i / 3 / width];
    data[i] = 128 + 60 * Math.sin(x / 90) * Math.cos(y / 70) + (state >>> 27);
  }
  return sharp(data, { raw: { ...SIDE, channels: 3 } })
    .png()
    .toBuffer();
}

/** The renditions: each another part in another size. */
const asked = Array.from({ length: COUNT }, (_, i) => ({
  part: { x: (i % 10) / 40, y: (i % 7) / 40, width: 0.5 + (i % 5) / 20, height: 0.5 + (i % 3) / 10 },
  widthPx: 100 + 2 * i,
  heightPx: 80 + 2 * i,
}));

/** All of them made as the product makes them, one after another as the ZIP wants them. */
async function asZip(file: KeptFile, place: string): Promise<void> {
  const entries: Entry[] = asked.map((one, i) => ({
    path: `${i}.png`,
    pack: false,
    content: async () =>
      Readable.from([
        await make({ asked: Derivation.parse({ make: 'size', hash: file.hash, ...one }), file }),
      ]),
  }));
  await pipeline(zipOf(entries), createWriteStream(place));
}

/** The same rectangles by the library of images alone. */
async function bySharp(file: KeptFile): Promise<void> {
  const original = await readOriginal(file.hash);
  for (const { part, widthPx, heightPx } of asked) {
    const { x, y, width, height } = pxOfPart(part, file);
    await sharp(original)
      .extract({ left: x, top: y, width, height })
      .resize(widthPx, heightPx, { fit: 'fill', kernel: 'lanczos3' })
      .png()
      .toBuffer();
  }
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** Files that are made, against the library of images alone, and the memory that they take. */
const store = mkdtempSync(path.join(tmpdir(), 'coulee-bench-'));
process.env.STORE_DIR = store;
try {
  await migrateDb(getDb(), store);
  const file = await keepFile(await photo(), 'photo.png');
  const place = path.join(store, 'files.zip');
  let most = 0;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
  const [own, alone]: [number[], number[]] = [[], []];
  for (let i = 0; i < ROUNDS; i++) {
    own.push(await timed(() => asZip(file, place)));
    alone.push(await timed(() => bySharp(file)));
  }
  clearInterval(watch);
  const about = { files: COUNT, zipMB: Math.round(statSync(place).size / 1e5) / 10 };
  report('renditions as ZIP', 'ms', median(own), about);
  report('the same rectangles by sharp alone', 'ms', median(alone), about);
  report('renditions as ZIP ÷ sharp alone', 'ratio', median(own) / median(alone), about);
  report('peak memory of both', 'MB', most / 2 ** 20);
} finally {
  getDb().$client.close();
  rmSync(store, { recursive: true, force: true });
}
process.exit(0);
