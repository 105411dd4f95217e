import sharp from 'sharp';
import type { Raster } from '@/core/pixels/raster';
import { differenceAt } from '@/core/pixels/worst-part';
import type { Drawing } from '@/render/drawing';
import { rawOf } from '../pictures/decode';
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

/** On white, and at least so large: what one of both does not reach is white there. */
async function rasterOf(png: Buffer, width: number, height: number): Promise<Raster> {
  const { width: own = 0, height: high = 0 } = await sharp(png).metadata();
  const whole = sharp(png)
    .flatten({ background: '#fff' })
    .extend({ right: width - own, bottom: height - high, background: '#fff' });
  return { width, height, data: (await rawOf(whole)).data };
}

/** How many px two opaque pictures of one size differ in, and the second one, faded, with those marked: a PNG. */
export async function marked(before: Raster, after: Raster): Promise<{ differing: number; picture: Buffer }> {
  const { width, height } = after;
  const data = Buffer.alloc(after.data.length, 255);
  let differing = 0;
  for (let i = 0; i < data.length; i += 4) {
    const differs = differenceAt(before, after, i) > UNSEEN;
    if (differs) differing++;
    for (let c = 0; c < 3; c++)
      data[i + c] = differs ? MARK[c]! : Math.round(255 - (255 - after.data[i + c]!) * FADED);
  }
  const picture = sharp(data, { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .png();
  return { differing, picture: await picture.toBuffer() };
}

/** A case now, faded, with the px that differ from what it was marked. @returns a PNG */
export async function layOver({ before, after }: ToLayOver): Promise<Buffer> {
  const [was, is] = [await paint(before), await paint(after)];
  const sizes = await Promise.all([was, is].map((png) => sharp(png).metadata()));
  const width = Math.max(...sizes.map((s) => s.width));
  const height = Math.max(...sizes.map((s) => s.height));
  const { picture } = await marked(await rasterOf(was!, width, height), await rasterOf(is!, width, height));
  return picture;
}
