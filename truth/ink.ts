import sharp from 'sharp';
import type { Raster } from '../src/core/pixels/raster';

/** The ink of made-up files, told pixel by pixel. */

const MOST_LIKE_BORDER = 24;

function borderOf({ width, height, data }: Raster): [number, number, number] {
  const sum = [0, 0, 0];
  let count = 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (x > 0 && y > 0 && x < width - 1 && y < height - 1) continue;
      for (let c = 0; c < 3; c++) sum[c]! += data[(y * width + x) * 4 + c]!;
      count++;
    }
  return sum.map((s) => s / count) as [number, number, number];
}

const isOpaque = ({ data }: Raster) => data.every((v, i) => i % 4 !== 3 || v === 255);

/** Which pixels are ink: a tenth of alpha or more, or, of an opaque file, another colour than its border. */
function inkOf(raster: Raster): boolean[] {
  const { width, height, data } = raster;
  const border = isOpaque(raster) ? borderOf(raster) : null;
  return Array.from({ length: width * height }, (_, i) =>
    border
      ? Math.max(...border.map((b, c) => Math.abs(data[i * 4 + c]! - b))) >= MOST_LIKE_BORDER
      : data[i * 4 + 3]! >= 25.5,
  );
}

const hex = (rgb: readonly number[]) =>
  `#${rgb.map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`;

/** Mean colour of the ink, and of the border of an opaque file; `#rrggbb`. */
export function inkColours(raster: Raster): { ink: string; border: string } {
  const ink = inkOf(raster);
  const sum = [0, 0, 0];
  let weight = 0;
  ink.forEach((is, i) => {
    if (!is) return;
    const a = raster.data[i * 4 + 3]! / 255;
    for (let c = 0; c < 3; c++) sum[c]! += a * raster.data[i * 4 + c]!;
    weight += a;
  });
  return { ink: hex(sum.map((s) => s / Math.max(weight, 1e-9))), border: hex(borderOf(raster)) };
}

/** A file that is solid where the ink of another one lies, from its first pixel to its last, and nothing elsewhere. */
export function inkBoxOf(raster: Raster, whole: boolean): Raster {
  const { width, height } = raster;
  const ink = whole ? new Array<boolean>(width * height).fill(true) : inkOf(raster);
  const at = ink.flatMap((is, i) => (is ? [{ x: i % width, y: Math.floor(i / width) }] : []));
  const [left, right] = [Math.min(...at.map((p) => p.x)), Math.max(...at.map((p) => p.x))];
  const [top, bottom] = [Math.min(...at.map((p) => p.y)), Math.max(...at.map((p) => p.y))];
  const data = new Uint8Array(width * height * 4);
  for (let y = top; y <= bottom; y++)
    for (let x = left; x <= right; x++) data.set([0, 0, 0, 255], (y * width + x) * 4);
  return { width, height, data };
}

export const encodeRaster = ({ data, width, height }: Raster): Promise<Buffer> =>
  sharp(data, { raw: { width, height, channels: 4 } })
    .png({ compressionLevel: 3 })
    .toBuffer();
