import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A folder for what the tests of one run make once and share; it goes when the run is over. */
export default function share() {
  const folder = mkdtempSync(path.join(tmpdir(), 'coulee-shared-'));
  process.env.TEST_SHARED = folder;
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
}
