import type { Raster } from '../pixels/raster';

/** Alpha from which nothing is seen through what is drawn. */
const OPAQUE = 230;
/** Px around that, which are soft where a screenshot was made smaller. */
const SOFT = 3;

/**
 * What is not looked at while a layer is searched: what nobody wants looked at, and what lies under something opaque, which stays where
 * it is when the layer moves.
 * @param ignored 1 for each px that is not looked at
 * @param above what is drawn over the layer, transparent elsewhere
 * @returns 1 for each px, row by row
 */
export function hiddenBy(ignored: Uint8Array, { width, height, data }: Raster): Uint8Array {
  const hidden = Uint8Array.from(ignored);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (data[(y * width + x) * 4 + 3]! < OPAQUE) continue;
      const [left, right] = [Math.max(0, x - SOFT), Math.min(width, x + SOFT + 1)];
      for (let row = Math.max(0, y - SOFT); row < Math.min(height, y + SOFT + 1); row++)
        hidden.fill(1, row * width + left, row * width + right);
    }
  return hidden;
}
