import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { packRaster } from '@/core/pixels/file';
import { keptPixels } from '../pictures/kept-pixels';
import { storeFolder } from '../settings';
import { ownStore } from '../testing/store';
import { packedRaster, raster } from './pictures';
import { loadProject } from './projects';

ownStore('the demo');

const hashOfDemo = () => {
  const { documents } = loadProject('larkmoor-ferries');
  return documents.project.pictures[0]!.cuts[0]!.renditions[0]!.hash;
};

/** The file in which the pixels of another one are kept. */
function keptFile(hash: string): string {
  const folder = path.join(storeFolder(), 'previews', hash.slice(0, 2));
  const [name] = readdirSync(folder).filter((f) => f.startsWith(`${hash}-raster`));
  return path.join(folder, name!);
}

describe('the pixels of a file', () => {
  it('are those that are worked out, also when they come from where they were kept', async () => {
    const hash = hashOfDemo();
    // Since the file was taken in.
    expect(await keptPixels(hash)).not.toBeNull();
    const wanted = Buffer.from(packRaster(await raster(hash)));
    expect(gunzipSync(await packedRaster(hash))).toEqual(wanted);
    const kept = readFileSync(keptFile(hash));
    expect(gunzipSync(await packedRaster(hash))).toEqual(wanted);
    expect(readFileSync(keptFile(hash))).toEqual(kept);
  });

  it('are worked out again where what was kept is cut short, empty or another one', async () => {
    const hash = hashOfDemo();
    const wanted = await packedRaster(hash);
    const file = keptFile(hash);
    const whole = readFileSync(file);
    const flipped = Buffer.from(whole);
    flipped.writeUInt8(flipped.readUInt8(whole.length - 9) ^ 1, whole.length - 9);
    for (const spoilt of [whole.subarray(0, whole.length - 1), Buffer.alloc(0), flipped]) {
      writeFileSync(file, spoilt);
      expect(gunzipSync(await packedRaster(hash))).toEqual(gunzipSync(wanted));
      expect(readFileSync(file)).toEqual(whole);
    }
  });

  it('are not there of a file that nobody knows', async () => {
    await expect(packedRaster('0'.repeat(64))).rejects.toMatchObject({ status: 404 });
  });
});
