import { checkSameSize, type Raster } from './raster';
import type { Rect } from '../geometry/rect';

/** The most different channel of a pixel of two rasters, 0..255; what is not seen in either does not differ. */
export function differenceAt(one: Raster, two: Raster, at: number): number {
  let most = Math.abs(one.data[at + 3]! - two.data[at + 3]!);
  const seen = Math.max(one.data[at + 3]!, two.data[at + 3]!) / 255;
  for (let c = 0; c < 3; c++) most = Math.max(most, Math.abs(one.data[at + c]! - two.data[at + c]!) * seen);
  return most;
}

/** Sums of the differences of all pixels left of and above each corner. */
function differenceSums(one: Raster, two: Raster): Float64Array {
  const { width, height } = one;
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += differenceAt(one, two, (y * width + x) * 4);
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  return sums;
}

/** In steps of so many px a part is moved about. */
const STEP = 4;

/**
 * The square of two rasters in which they differ most, to a few px.
 * @param side of it, px; no longer than the rasters are @throws RangeError for rasters of two sizes
 */
export function worstPart(one: Raster, two: Raster, side: number): Rect {
  checkSameSize(one, two);
  const { width, height } = one;
  const [w, h] = [Math.min(side, width), Math.min(side, height)];
  const sums = differenceSums(one, two);
  const at = (x: number, y: number) => sums[y * (width + 1) + x]!;
  let best = { x: 0, y: 0, sum: -1 };
  for (let y = 0; y <= height - h; y += STEP)
    for (let x = 0; x <= width - w; x += STEP) {
      const sum = at(x + w, y + h) - at(x, y + h) - at(x + w, y) + at(x, y);
      if (sum > best.sum) best = { x, y, sum };
    }
  return { x: best.x, y: best.y, width: w, height: h };
}
