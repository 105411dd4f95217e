import sharp from 'sharp';

export interface Raster {
  data: Buffer;
  width: number;
  height: number;
}

/** Pixels of a PNG over white, three channels. */
export async function raster(png: Buffer): Promise<Raster> {
  const { data, info } = await sharp(png)
    .flatten({ background: '#ffffff' })
    .removeAlpha()
    .toColourspace('srgb')
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

const STEP = 24;

/** Whether a pixel differs clearly from a neighbour in one of the two pictures: an edge, where a shifted grid shows. */
function atEdge({ data, width, height }: Raster, x: number, y: number): boolean {
  const at = (px: number, py: number, c: number) => data[(py * width + px) * 3 + c]!;
  for (let dy = -1; dy <= 1; dy++) {
    for (let dx = -1; dx <= 1; dx++) {
      const [nx, ny] = [x + dx, y + dy];
      if (nx < 0 || ny < 0 || nx >= width || ny >= height) continue;
      for (let c = 0; c < 3; c++) if (Math.abs(at(nx, ny, c) - at(x, y, c)) > STEP) return true;
    }
  }
  return false;
}

export interface Difference {
  /** mean of the absolute difference of each channel, 0..1 of full scale, away from edges */
  mean: [number, number, number];
  /** share of the pixels that were compared, 0..1 */
  compared: number;
}

export function difference(a: Raster, b: Raster): Difference {
  if (a.width !== b.width || a.height !== b.height) {
    throw new Error(`${a.width} × ${a.height} px against ${b.width} × ${b.height} px`);
  }
  const sums = [0, 0, 0];
  let count = 0;
  for (let y = 0; y < a.height; y++) {
    for (let x = 0; x < a.width; x++) {
      if (atEdge(a, x, y) || atEdge(b, x, y)) continue;
      count++;
      const i = (y * a.width + x) * 3;
      for (let c = 0; c < 3; c++) sums[c]! += Math.abs(a.data[i + c]! - b.data[i + c]!);
    }
  }
  const mean = sums.map((s) => s / Math.max(1, count) / 255) as Difference['mean'];
  return { mean, compared: count / (a.width * a.height) };
}

/** Where something is drawn on a ground of one colour: the first and last columns and rows that differ clearly. */
export function inkOf({ data, width, height }: Raster) {
  const far = (i: number) => [0, 1, 2].some((c) => Math.abs(data[i + c]! - data[c]!) > 96);
  const ink = { left: width, right: -1, top: height, bottom: -1 };
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      if (!far((y * width + x) * 3)) continue;
      ink.left = Math.min(ink.left, x);
      ink.right = Math.max(ink.right, x);
      ink.top = Math.min(ink.top, y);
      ink.bottom = Math.max(ink.bottom, y);
    }
  }
  return ink;
}
