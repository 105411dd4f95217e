import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import { previewWidths } from '../src/core/pictures/previews';
import { getDb, migrateDb } from '../src/server/db/client';
import { keepFile } from '../src/server/importing/picture';
import { statistics } from '../src/server/services/pictures';
import { median, report } from './measure';

const WIDTH = 6000;
const HEIGHT = 4000;
const ROUNDS = 5;
const MANY = 20;

/** A photo of 24 megapixels: soft shapes with grain; each of another seed, so that no two are the same bytes. */
async function photo(seed: number): Promise<Buffer> {
  const soft = await sharp({
    create: {
      width: 60,
      height: 40,
      channels: 3,
      background: '#000',
      noise: { type: 'gaussian', mean: 100 + seed, sigma: 60 },
    },
  })
    .png()
    .toBuffer();
  return sharp(soft).resize(WIDTH, HEIGHT, { kernel: 'cubic' }).jpeg({ quality: 90 }).toBuffer();
}

/** What sharp alone takes for the decode and the same previews. */
async function bySharp(bytes: Buffer): Promise<void> {
  let source = sharp(bytes).autoOrient().toColourspace('srgb');
  for (const width of previewWidths({ widthPx: WIDTH, heightPx: HEIGHT }).toReversed()) {
    const { data, info } = await source
      .resize(width, undefined, { kernel: 'lanczos3' })
      .raw()
      .toBuffer({ resolveWithObject: true });
    const raw = { width: info.width, height: info.height, channels: info.channels };
    await sharp(data, { raw }).webp({ quality: 92, alphaQuality: 100, effort: 2 }).toBuffer();
    source = sharp(data, { raw });
  }
}

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

async function ours(bytes: Buffer): Promise<void> {
  const { hash } = await keepFile(bytes, 'photo.jpg');
  await statistics(hash);
}

/** Taking in a large photo (decoding, previews, storing, statistics) against sharp alone; and the memory of many. */
export async function benchImport(): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'coulee-bench-'));
  process.env.STORE_DIR = folder;
  await migrateDb(getDb(), folder);
  const own: number[] = [];
  const alone: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const bytes = await photo(i);
    own.push(await timed(() => ours(bytes)));
    alone.push(await timed(() => bySharp(bytes)));
  }
  const about = { megapixels: (WIDTH * HEIGHT) / 1e6 };
  report('import of a photo, with statistics', 'ms', median(own), about);
  report('the same decode and previews by sharp alone', 'ms', median(alone), about);
  report('import ÷ sharp alone', 'ratio', median(own) / median(alone), about);

  const before = process.memoryUsage().rss;
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().rss)), 20);
  const many = await Promise.all(Array.from({ length: MANY }, (_, i) => photo(100 + i)));
  most = before;
  await Promise.all(many.map(ours));
  clearInterval(watch);
  report('peak memory of 20 imports asked for at once', 'MB', most / 2 ** 20, {
    ...about,
    grewBy: Math.round((most - before) / 2 ** 20),
  });
  getDb().$client.close();
  rmSync(folder, { recursive: true, force: true });
}
