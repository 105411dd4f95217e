import { createHash } from 'node:crypto';
import sharp from 'sharp';
import type { Picture } from '../src/core/pictures/picture';
import type { Raster } from '../src/core/pixels/raster';
import type { Random } from './random';

/** A made-up file with its pixels. */
export interface MadeFile {
  picture: Picture;
  hash: string;
  png: Buffer;
  raster: Raster;
  /** the same size with its place as its colours: red across, green down, no blue */
  ramp: Buffer;
}

const encode = (data: Uint8Array, width: number, height: number) =>
  sharp(data, { raw: { width, height, channels: 4 } })
    .png({ compressionLevel: 3 })
    .toBuffer();

type Pixel = (x: number, y: number) => [number, number, number, number];

function rasterOf(width: number, height: number, pixel: Pixel): Raster {
  const data = new Uint8Array(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      data.set(
        pixel((x + 0.5) / width, (y + 0.5) / height).map((v) => Math.max(0, Math.min(255, Math.round(v)))),
        (y * width + x) * 4,
      );
  return { width, height, data };
}

/** Soft hills of colour, so that how a surface resamples matters little. */
function photo(random: Random): Pixel {
  const waves = [0, 1, 2].map(() => ({
    x: random.next() * 5 - 2.5,
    y: random.next() * 5 - 2.5,
    at: random.next() * 6,
    mean: 60 + random.next() * 130,
  }));
  return (x, y) => {
    const [r, g, b] = waves.map((w) => w.mean + 60 * Math.sin(w.x * x * 3 + w.y * y * 3 + w.at));
    return [r!, g!, b!, 255];
  };
}

/** A mark of one colour with uneven room around it; on nothing, or on a plate of another colour. */
function mark(random: Random, opaque: boolean): Pixel {
  const [cx, cy, radius] = [
    0.35 + random.next() * 0.3,
    0.35 + random.next() * 0.3,
    0.2 + random.next() * 0.12,
  ];
  const ink = [0, 1, 2].map(() => random.whole(0, 255));
  const plate = ink.map((v) => (v + 128) % 256);
  return (x, y) => {
    const inside =
      Math.hypot(x - cx, y - cy) < radius || (Math.abs(x - cx) < radius && Math.abs(y - cy) < radius / 2);
    if (inside) return [ink[0]!, ink[1]!, ink[2]!, 255];
    return opaque ? [plate[0]!, plate[1]!, plate[2]!, 255] : [0, 0, 0, 0];
  };
}

export type Kind = 'photo' | 'mark' | 'badge';

export async function madeFile(id: string, kind: Kind, random: Random): Promise<MadeFile> {
  const width = random.whole(60, 420);
  const height = random.whole(60, 300);
  const density = random.pick([1, 1, 2, 3, 0.5]);
  const pixel = kind === 'photo' ? photo(random) : mark(random, kind === 'badge');
  const raster = rasterOf(width, height, pixel);
  const ramp = rasterOf(width, height, (x, y) => [x * 255, y * 255, 0, 255]);
  const png = await encode(raster.data as Uint8Array, width, height);
  // Of what it holds, as everywhere: what is drawn is kept by it.
  const hash = createHash('sha256').update(png).digest('hex');
  const rendition = {
    hash,
    widthPx: width,
    heightPx: height,
    density,
    appearance: 'light',
    vector: false,
  } as const;
  const focalPoint = { x: random.tenth(0, 1), y: random.tenth(0, 1) };
  return {
    picture: { id, name: id, cuts: [{ cut: 'any', focalPoint, keepAreas: [], renditions: [rendition] }] },
    hash,
    png,
    raster,
    ramp: await encode(ramp.data as Uint8Array, width, height),
  };
}
