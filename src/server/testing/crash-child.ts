import { mkdirSync } from 'node:fs';
import sharp from 'sharp';
import { changeBetween } from '@/core/patch/change';
import { getDb, migrateDb } from '../db/client';
import { keepFile } from '../importing/picture';
import { createEmptyProject, listProjects, loadProject } from '../services/projects';
import { saveChange } from '../services/save';
import { storeFolder } from '../settings';

/**
 * Imports pictures and saves changes as fast as it can until it is killed. Every line it prints is something that it
 * was told is done: `saved <revision> <number of pictures>` or `kept <hash>`.
 */
mkdirSync(storeFolder(), { recursive: true });
await migrateDb(getDb(), storeFolder());
const id = listProjects()[0]?.id ?? createEmptyProject('Crash').documents.project.id;
const say = (line: string) => process.stdout.write(`${line}\n`);
say('ready');

for (let i = 0; ; i++) {
  const shade = { r: Math.random() * 255, g: Math.random() * 255, b: Math.random() * 255, alpha: 1 };
  const png = await sharp({ create: { width: 300 + (i % 50), height: 200, channels: 4, background: shade } })
    .png()
    .toBuffer();
  const file = await keepFile(png, `${i}.png`);
  say(`kept ${file.hash}`);
  const { revision, documents } = loadProject(id);
  const rendition = {
    hash: file.hash,
    widthPx: file.widthPx,
    heightPx: file.heightPx,
    density: 1,
    appearance: 'light' as const,
    vector: false,
  };
  const cut = { cut: 'any' as const, renditions: [rendition], keepAreas: [], focalPoint: { x: 0.5, y: 0.5 } };
  const pictures = [...documents.project.pictures, { id: crypto.randomUUID(), name: `${i}`, cuts: [cut] }];
  const after = { ...documents, project: { ...documents.project, pictures: pictures.slice(-400) } };
  const saved = saveChange(id, revision, changeBetween(crypto.randomUUID(), documents, after)!);
  say(`saved ${saved.revision} ${after.project.pictures.length}`);
}
