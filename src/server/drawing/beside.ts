import sharp from 'sharp';
import type { Drawing } from '@/render/drawing';
import { paint } from './paint';

/** The same case at two times, drawn at one scale. */
export interface ToLayOver {
  before: Drawing;
  after: Drawing;
}

/** Levels of 255 by which a channel differs that nobody sees. */
const UNSEEN = 2;
/** What differs is drawn in this, over what is now, which is faded. Red, green, blue. */
const MARK = [0, 107, 122] as const;
const FADED = 0.28;

interface Raster {
  width: number;
  height: number;
  data: Buffer;
}

/** On white, and at least so large: what one of both does not reach is white there. */
async function rasterOf(png: Buffer, width: number, height: number): Promise<Raster> {
  const { width: own = 0, height: high = 0 } = await sharp(png).metadata();
  const data = await sharp(png)
    .flatten({ background: '#fff' })
    .extend({ right: width - own, bottom: height - high, background: '#fff' })
    .removeAlpha()
    .raw()
    .toBuffer();
  return { width, height, data };
}

/** How many px two pictures of one size differ in, with those marked on the second one. */
export function marked(before: Raster, after: Raster): { differing: number; data: Buffer } {
  const data = Buffer.alloc(after.data.length);
  let differing = 0;
  for (let i = 0; i < data.length; i += 3) {
    const differs = [0, 1, 2].some((c) => Math.abs(before.data[i + c]! - after.data[i + c]!) > UNSEEN);
    if (differs) differing++;
    for (let c = 0; c < 3; c++)
      data[i + c] = differs ? MARK[c]! : Math.round(255 - (255 - after.data[i + c]!) * FADED);
  }
  return { differing, data };
}

/** A case now, faded, with the px that differ from what it was marked. @returns a PNG */
export async function layOver({ before, after }: ToLayOver): Promise<Buffer> {
  const [was, is] = [await paint(before), await paint(after)];
  const sizes = await Promise.all([was, is].map((png) => sharp(png).metadata()));
  const width = Math.max(...sizes.map((s) => s.width));
  const height = Math.max(...sizes.map((s) => s.height));
  const both = [await rasterOf(was, width, height), await rasterOf(is, width, height)] as const;
  const { data } = marked(...both);
  return sharp(data, { raw: { width, height, channels: 3 } })
    .png()
    .toBuffer();
}
