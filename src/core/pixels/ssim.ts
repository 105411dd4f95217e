import { checkSameSize, type Raster } from './raster';

/** Weights of a window, as wide as it is high. Source: Wang et al. 2004, §III.B: 11 × 11, Gaussian of 1.5 px, sum 1. */
const RADIUS = 5;
const SIGMA = 1.5;
const KERNEL = (() => {
  const raw = Array.from({ length: 2 * RADIUS + 1 }, (_, i) =>
    Math.exp(-((i - RADIUS) ** 2) / (2 * SIGMA ** 2)),
  );
  const sum = raw.reduce((a, b) => a + b, 0);
  return Float64Array.from(raw, (w) => w / sum);
})();
/** Of 8 bits. Source: as above, K1 = 0.01 and K2 = 0.03. */
const C1 = (0.01 * 255) ** 2;
const C2 = (0.03 * 255) ** 2;

/** Luma on mid grey, so that what is see-through counts as much as it is seen. Source: ITU-R BT.601, 2.5.1. */
function lumaOf({ width, height, data }: Raster): Float64Array {
  const luma = new Float64Array(width * height);
  for (let i = 0; i < luma.length; i++) {
    const at = i * 4;
    const alpha = data[at + 3]! / 255;
    const coded = 0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!;
    luma[i] = coded * alpha + 128 * (1 - alpha);
  }
  return luma;
}

/** Means under the window of every place where it lies within the picture, row by row. */
function means(values: Float64Array, width: number, height: number): Float64Array {
  const across = width - 2 * RADIUS;
  const down = height - 2 * RADIUS;
  const rows = new Float64Array(across * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < across; x++) {
      let sum = 0;
      for (let k = 0; k < KERNEL.length; k++) sum += KERNEL[k]! * values[y * width + x + k]!;
      rows[y * across + x] = sum;
    }
  const found = new Float64Array(across * down);
  for (let y = 0; y < down; y++)
    for (let x = 0; x < across; x++) {
      let sum = 0;
      for (let k = 0; k < KERNEL.length; k++) sum += KERNEL[k]! * rows[(y + k) * across + x]!;
      found[y * across + x] = sum;
    }
  return found;
}

const products = (a: Float64Array, b: Float64Array) => a.map((v, i) => v * b[i]!);

/**
 * How alike two pictures of one size are in their structure, up to 1 for the same: the mean structural similarity of their
 * luma. Source: Wang, Bovik, Sheikh and Simoncelli, “Image quality assessment”, IEEE TIP 13 (4), 2004, formula 13.
 * Pictures narrower than its window of 11 px are alike or not as one window of their size.
 * @throws RangeError for two sizes
 */
export function ssim(one: Raster, two: Raster): number {
  checkSameSize(one, two);
  const { width, height } = one;
  const [a, b] = [lumaOf(one), lumaOf(two)];
  const isSmall = Math.min(width, height) <= 2 * RADIUS;
  const mean = (values: Float64Array) =>
    isSmall
      ? Float64Array.of(values.reduce((s, v) => s + v, 0) / values.length)
      : means(values, width, height);
  const [ma, mb, maa, mbb, mab] = [a, b, products(a, a), products(b, b), products(a, b)].map(mean) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  let sum = 0;
  for (let i = 0; i < ma.length; i++) {
    const [x, y] = [ma[i]!, mb[i]!];
    const variances = maa[i]! - x * x + (mbb[i]! - y * y);
    const covariance = mab[i]! - x * y;
    sum += ((2 * x * y + C1) * (2 * covariance + C2)) / ((x * x + y * y + C1) * (variances + C2));
  }
  return sum / ma.length;
}
