import type { PerSide, Rect } from '../geometry/rect';
import { hexOf, type Raster } from './raster';

/** What of a picture is drawn and what is only room around it. Shares of the picture's width and height. */
export interface Ink {
  bounds: Rect;
  /** mean place of the ink, each pixel counted by how much of it there is */
  centroid: { x: number; y: number };
  /** how it was told from the rest: by alpha, or in an opaque picture by another colour than its border's */
  by: 'alpha' | 'border';
  /** mean colour of the ink, each pixel counted by how much of it there is, `#rrggbb` */
  colour: string;
  /** mean colour along the four sides of an opaque picture, which its ink stands on; else `null` */
  border: string | null;
}

/** Alpha from which on a pixel counts as ink, of 255; a tenth. */
export const LEAST_ALPHA = 25.5;
/** Difference from the colour of the border, in the most different channel, from which on a pixel counts. */
const LEAST_DIFFERENCE = 24;

const isOpaque = ({ data }: Raster) => {
  for (let i = 3; i < data.length; i += 4) if (data[i]! < 255) return false;
  return true;
};

/** The mean of all pixels along the four sides. */
function borderColour({ width, height, data }: Raster): [number, number, number] {
  const sum: [number, number, number] = [0, 0, 0];
  let count = 0;
  const add = (x: number, y: number) => {
    const i = (y * width + x) * 4;
    for (let c = 0; c < 3; c++) sum[c]! += data[i + c]!;
    count++;
  };
  for (let x = 0; x < width; x++) for (const y of [0, height - 1]) add(x, y);
  for (let y = 1; y < height - 1; y++) for (const x of [0, width - 1]) add(x, y);
  return sum.map((s) => s / count) as [number, number, number];
}

interface Weigher {
  /** how much ink there is in a pixel, 0..1; 0 below the threshold */
  weight: (i: number) => number;
  by: Ink['by'];
  border: string | null;
}

function weigher(raster: Raster): Weigher {
  const { data } = raster;
  if (!isOpaque(raster)) {
    const weight = (i: number) => (data[i + 3]! >= LEAST_ALPHA ? data[i + 3]! / 255 : 0);
    return { by: 'alpha', weight, border: null };
  }
  const border = borderColour(raster);
  const [r, g, b] = border;
  const isOff = (value: number, from: number) =>
    value - from >= LEAST_DIFFERENCE || from - value >= LEAST_DIFFERENCE;
  const weight = (i: number) =>
    isOff(data[i]!, r) || isOff(data[i + 1]!, g) || isOff(data[i + 2]!, b) ? 1 : 0;
  return {
    by: 'border',
    weight,
    border: hexOf({ r, g, b, a: 1 }),
  };
}

/** Where the ink of a picture lies; `null` where there is none, as in a plain area. */
export function inkOf(raster: Raster): Ink | null {
  const { width, height, data } = raster;
  const { weight, by, border } = weigher(raster);
  let [left, right, top, bottom] = [width, -1, height, -1];
  let [sum, sumX, sumY] = [0, 0, 0];
  let [r, g, b] = [0, 0, 0];
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const i = (y * width + x) * 4;
      const w = weight(i);
      if (w === 0) continue;
      if (x < left) left = x;
      if (x > right) right = x;
      if (y < top) top = y;
      bottom = y;
      sum += w;
      sumX += w * (x + 0.5);
      sumY += w * (y + 0.5);
      r += w * data[i]!;
      g += w * data[i + 1]!;
      b += w * data[i + 2]!;
    }
  }
  if (sum === 0) return null;
  return {
    by,
    border,
    colour: hexOf({ r: r / sum, g: g / sum, b: b / sum, a: 1 }),
    bounds: {
      x: left / width,
      y: top / height,
      width: (right + 1 - left) / width,
      height: (bottom + 1 - top) / height,
    },
    centroid: { x: sumX / sum / width, y: sumY / sum / height },
  };
}

/** Room around the ink at each side, as shares of the picture's width and height. */
export const paddingOf = ({ bounds }: Pick<Ink, 'bounds'>): PerSide => ({
  left: bounds.x,
  right: 1 - bounds.x - bounds.width,
  top: bounds.y,
  bottom: 1 - bounds.y - bounds.height,
});
