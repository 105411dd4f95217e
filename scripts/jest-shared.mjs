import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import path from 'node:path';
import { buildDrawing } from './build-parts.mjs';

const RESULTS = path.resolve(import.meta.dirname, '..', 'test-results');

/**
 * What the tests of one run make once and share: the process that draws, built, and a folder for more. It lies within the product,
 * where packages are found, and goes when the run is over.
 */
export default async function share() {
  mkdirSync(RESULTS, { recursive: true });
  const folder = mkdtempSync(path.join(RESULTS, 'shared-'));
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  process.env.TEST_SHARED = folder;
  process.env.COULEE_DRAWING = await buildDrawing(path.join(folder, 'drawing'));
}
