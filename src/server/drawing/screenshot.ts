import sharp, { type Sharp } from 'sharp';
import type { Rect, Size } from '@/core/geometry/rect';
import type { Raster } from '@/core/pixels/raster';
import { hiddenBy } from '@/core/screenshot/hidden';
import { locate } from '@/core/screenshot/locate';
import type { Placed } from '@/core/screenshot/opinion';
import { unexplained, type Explaining, type Unexplained } from '@/core/screenshot/unexplained';
import type { Drawing } from '@/render/drawing';
import { readOriginal } from '../blobs';
import { marked } from './beside';
import { decode, rawOf } from '../pictures/decode';
import { paint } from './paint';
import type { TaskProgress } from '../progress';

/** A real screenshot, held against the case that it is of. */
export interface ToHold {
  /** of the screenshot */
  hash: string;
  whole: Drawing;
  /** the same without one layer each, and what lies above that one alone */
  layers: { id: string; name: string; without: Drawing; above: Drawing }[];
  /** what is not looked at, px of the drawing */
  ignored: readonly Rect[];
  /** how far layers are searched, px */
  reach: number;
}

export interface Held {
  layers: Placed[];
  /** share of what is looked at that differs, 0..1 */
  differing: number;
  /** what of it nothing in the case explains */
  rest: Unexplained;
  /** what is ruled, faded, with the px marked that differ: a PNG */
  picture: Buffer;
}

async function rasterOf(image: Sharp, { width, height }: Size): Promise<Raster> {
  const { data, info } = await rawOf(image.resize(width, height, { fit: 'fill' }));
  return { width: info.width, height: info.height, data };
}

/** On white, as all screens are opaque. */
const onWhite = (image: Sharp): Sharp => image.flatten({ background: '#fff' });

/** See-through where nothing is drawn. */
const asItIs = (image: Sharp): Sharp => image;

/** 1 for each px in any of these. */
function maskOf(rects: readonly Rect[], { width, height }: Raster): Uint8Array {
  const mask = new Uint8Array(width * height);
  for (const r of rects) {
    const [left, right] = [Math.max(0, Math.floor(r.x)), Math.min(width, Math.ceil(r.x + r.width))];
    const [top, bottom] = [Math.max(0, Math.floor(r.y)), Math.min(height, Math.ceil(r.y + r.height))];
    for (let y = top; y < bottom; y++) if (right > left) mask.fill(1, y * width + left, y * width + right);
  }
  return mask;
}

/** Lays what is not looked at out of both alike. */
function leftOut(raster: Raster, from: Raster, ignored: Uint8Array): Raster {
  const data = Uint8Array.from(raster.data);
  for (let i = 0; i < ignored.length; i++)
    if (ignored[i]) for (let c = 0; c < 4; c++) data[i * 4 + c] = from.data[i * 4 + c]!;
  return { ...raster, data };
}

/** What makes a drawing as soft as a screenshot that was made smaller: both have gone the same way then. */
const softened =
  (shot: Size, { size }: Drawing) =>
  async (drawing: Drawing, way = onWhite): Promise<Raster> => {
    const drawn = way(sharp(await paint(drawing)));
    if (shot.width === size.width && shot.height === size.height) return rasterOf(drawn, size);
    const small = drawn.resize(shot.width, shot.height, { fit: 'fill' }).png({ compressionLevel: 0 });
    return rasterOf(sharp(await small.toBuffer()), size);
  };

/** @param onStep called after each layer */
export async function holdScreenshot(
  { hash, whole: drawing, layers, ignored: rects, reach }: ToHold,
  onStep: (progress: TaskProgress) => void,
): Promise<Held> {
  const taken = decode(await readOriginal(hash));
  const { width: shotWidth, height: shotHeight } = (await taken.metadata()).autoOrient;
  const painted = softened({ width: shotWidth, height: shotHeight }, drawing);
  const whole = await painted(drawing);
  const shot = await rasterOf(onWhite(taken), whole);
  const ignored = maskOf(rects, whole);
  const placed: Placed[] = [];
  const explaining: Explaining[] = [];
  for (const { id, name, without, above } of layers) {
    const behind = await painted(without);
    const hidden = hiddenBy(ignored, await painted(above, asItIs));
    const located = locate({ whole, without: behind, shot, ignored: hidden }, reach);
    placed.push({ id, name, located });
    explaining.push({ without: behind, located });
    onStep({ done: placed.length, of: layers.length, doing: 'looking for its layers' });
  }
  const looked = ignored.reduce((n, is) => n + (is ? 0 : 1), 0);
  const { differing, picture } = await marked(leftOut(shot, whole, ignored), whole);
  const rest = unexplained({ whole, shot, ignored }, explaining);
  return { layers: placed, differing: looked === 0 ? 0 : differing / looked, rest, picture };
}
