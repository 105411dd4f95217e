import { gzipSync } from 'node:zlib';
import { packRaster } from '@/core/pixels/file';
import { createFilePixels, unpacked } from './file-pixels';

const data = new Uint8Array(40 * 30 * 4).map((_, i) => (i % 4 === 3 ? 255 : i % 251));
const raw = packRaster({ width: 40, height: 30, data });
const buffer = (bytes: Uint8Array) => new Uint8Array(bytes).buffer;

describe('pixels as they are sent', () => {
  it('are unpacked where they are packed, and taken as they are where not', async () => {
    expect(new Uint8Array(await unpacked(buffer(gzipSync(raw))))).toEqual(new Uint8Array(raw));
    expect(new Uint8Array(await unpacked(buffer(raw)))).toEqual(new Uint8Array(raw));
  });

  it('are loaded once a file, and asked for again only where they did not come', async () => {
    let asked = 0;
    let fails = true;
    const send = () => {
      asked++;
      return Promise.resolve(
        fails ? new Response(null, { status: 503 }) : new Response(buffer(gzipSync(raw))),
      );
    };
    const load = createFilePixels(send as never);
    expect((await load(['a'])).size).toBe(0);
    fails = false;
    expect((await load(['a'])).has('a')).toBe(true);
    await load(['a']);
    expect(asked).toBe(2);
  });
});
