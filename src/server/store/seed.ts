import { readFile } from 'node:fs/promises';
import path from 'node:path';
import sharp from 'sharp';
import { demoDocuments, demoPictures, type DemoFile } from '../../../demo/documents';
import type { Rendition } from '@/core/pictures/picture';
import { keepFile } from '../importing/picture';
import { createProject, listProjects } from '../services/projects';

async function keepDemoFile({ svg, widthPx, density, appearance }: DemoFile): Promise<Rendition> {
  const drawing = await readFile(path.resolve('demo', svg));
  const { width: own = widthPx } = await sharp(drawing).metadata();
  // Drawn at its size, not enlarged from another one.
  const png = await sharp(drawing, { density: (72 * widthPx) / own })
    .resize(widthPx)
    .png({ compressionLevel: 9 })
    .toBuffer();
  const { hash, widthPx: width, heightPx: height } = await keepFile(png, svg);
  return { hash, widthPx: width, heightPx: height, density, appearance, vector: false };
}

/**
 * Puts the demo project into a store that holds no project.
 * @param onPicture hears which of how many files is drawn next
 * @returns whether it did
 */
export async function seedDemo(onPicture: (n: number, of: number) => void = () => {}): Promise<boolean> {
  if (listProjects().length > 0) return false;
  const renditions = new Map<string, Rendition[]>();
  const of = demoPictures.reduce((sum, p) => sum + p.files.length, 0);
  let n = 0;
  for (const picture of demoPictures) {
    const kept: Rendition[] = [];
    for (const file of picture.files) {
      onPicture(++n, of);
      kept.push(await keepDemoFile(file));
    }
    renditions.set(picture.id, kept);
  }
  createProject(demoDocuments((id) => renditions.get(id) ?? []));
  return true;
}
