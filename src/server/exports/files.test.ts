import { readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { fromBufferPromise } from 'yauzl';
import { shownPictures } from '@/core/project/documents';
import { DEFAULT_PATTERN } from '@/formats/files/names';
import { hashOf, keepResult, openOriginal, openResult } from '../blobs';
import { Problem } from '../problem';
import { fileFacts } from '../services/pictures';
import { loadProject } from '../services/projects';
import { ownStore } from '../testing/store';
import { makeFiles } from './files';
import { readableOf } from './made';
import { zipOf } from './zip';

ownStore('the demo');

const results = () => path.join(process.env.STORE_DIR!, 'results');
const leftBehind = () => {
  try {
    return readdirSync(results(), { recursive: true }).filter((f) => String(f).endsWith('.part'));
  } catch {
    return [];
  }
};

const made = (pattern = DEFAULT_PATTERN, onProgress?: Parameters<typeof makeFiles>[2]) => {
  const { documents } = loadProject('larkmoor-ferries');
  return makeFiles({ documents, pattern, facts: fileFacts(documents) }, { open: openOriginal }, onProgress);
};

/** What a reader of ZIP files that knows nothing of how it was written finds in one. */
async function entriesOf(zip: Buffer): Promise<Map<string, Buffer>> {
  const file = await fromBufferPromise(zip, { validateEntrySizes: true });
  const found = new Map<string, Buffer>();
  for await (const entry of file.eachEntry())
    found.set(entry.fileName, await buffer(await file.openReadStreamPromise(entry)));
  return found;
}

describe('all files of a project as a ZIP', () => {
  it('holds each file byte by byte under its name, and says how far it is', async () => {
    const { documents } = loadProject('larkmoor-ferries');
    const steps: number[] = [];
    const zip = await buffer(readableOf(made(DEFAULT_PATTERN, ({ done }) => steps.push(done))));
    const entries = await entriesOf(zip);
    const renditions = shownPictures(documents).flatMap((p) => p.cuts.flatMap((c) => c.renditions));
    expect([...entries.values()].map(hashOf).toSorted()).toEqual(
      [...new Set(renditions.map((r) => r.hash))].toSorted(),
    );
    expect([...entries.keys()]).toContain('emblem@4x.png');
    expect(steps).toEqual([...steps].toSorted((a, b) => a - b));
    expect(steps.at(-1)).toBe(entries.size);
  });

  it('is the same to the byte whenever it is made', async () => {
    const [a, b] = [await buffer(readableOf(made())), await buffer(readableOf(made()))];
    expect(a.equals(b)).toBe(true);
  });

  it('refuses a pattern by which two files have one name', () => {
    expect(() => made('{appearance}')).toThrow(Problem);
    expect(() => made('../{name}')).toThrow('stays in its folder');
  });

  it('leaves nothing behind where a file is lost, or nobody waits any more', async () => {
    const { documents } = loadProject('larkmoor-ferries');
    const { hash } = shownPictures(documents)[0]!.cuts[0]!.renditions[0]!;
    const abort = new AbortController();
    const stopped = keepResult(
      readableOf(made(DEFAULT_PATTERN, ({ done }) => done > 0 && abort.abort())),
      abort.signal,
    );
    await expect(stopped).rejects.toThrow('abort');
    expect(leftBehind()).toEqual([]);
    rmSync(path.join(process.env.STORE_DIR!, 'pictures', hash.slice(0, 2), hash));
    await expect(keepResult(readableOf(made()))).rejects.toThrow('are missing from the store');
    expect(leftBehind()).toEqual([]);
  });

  it('is kept under its hash as it comes, one file after another', async () => {
    let open = 0;
    let most = 0;
    async function* pieces(fill: number) {
      most = Math.max(most, ++open);
      for (let i = 0; i < 8; i++) yield Buffer.alloc(256 * 1024, fill);
      open--;
      await Promise.resolve();
    }
    const entries = Array.from({ length: 12 }, (_, i) => ({
      path: `${i}.bin`,
      pack: false,
      content: () => Promise.resolve(Readable.from(pieces(i))),
    }));
    const { hash, bytes } = await keepResult(zipOf(entries));
    expect(bytes).toBeGreaterThan(24 * 1024 * 1024);
    expect(most).toBe(1);
    expect(statSync(path.join(results(), hash.slice(0, 2), hash)).size).toBe(bytes);
    const kept = await buffer((await openResult(hash))!);
    expect(hashOf(kept)).toBe(hash);
    expect((await entriesOf(kept)).size).toBe(12);
  });
});
