import type { Raster } from '../pixels/raster';
import type { Located } from './locate';
import { placeIn, type Point } from './shown';

/** A layer, what is seen without it, and where it was found. */
export interface Explaining {
  without: Raster;
  located: Located;
}

/** What of a screenshot nothing in its case explains. */
export interface Unexplained {
  /** share of what is looked at, 0..1 */
  share: number;
  /** where most of it lies, such as “top left”; `null` where there is none */
  where: string | null;
}

/** Levels by which a px may lie outside of those around it: noise of encoders, and fonts of edges. */
const NOISE = 22;
const ACROSS = ['left', 'middle', 'right'] as const;
const DOWN = ['top', 'middle', 'bottom'] as const;

/** A picture with the least and the greatest value of each channel in the 3 × 3 px around each px, so that edges may lie between px. */
interface Ranged {
  raster: Raster;
  low: Uint8Array;
  high: Uint8Array;
}

function rangesOf(raster: Raster): Ranged {
  const { width, height, data } = raster;
  const [low, high] = [new Uint8Array(width * height * 3), new Uint8Array(width * height * 3)];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      for (let c = 0; c < 3; c++) {
        let [least, most] = [255, 0];
        for (let dy = y > 0 ? -1 : 0; dy <= (y < height - 1 ? 1 : 0); dy++)
          for (let dx = x > 0 ? -1 : 0; dx <= (x < width - 1 ? 1 : 0); dx++) {
            const v = data[((y + dy) * width + x + dx) * 4 + c]!;
            if (v < least) least = v;
            if (v > most) most = v;
          }
        const at = (y * width + x) * 3 + c;
        low[at] = least;
        high[at] = most;
      }
  return { raster, low, high };
}

/** Takes the marks from the px of a screenshot that a picture explains, shifted by whole px. */
function explain(left: Uint8Array, shot: Raster, { raster, low, high }: Ranged, shift: Point): void {
  const { width } = shot;
  for (let j = 0; j < left.length; j++) {
    if (!left[j]) continue;
    const x = j % width;
    const at = placeIn(raster, x - shift.x, (j - x) / width - shift.y);
    if (!at) continue;
    let isNear = true;
    for (let c = 0; c < 3 && isNear; c++) {
      const v = shot.data[j * 4 + c]!;
      isNear = v >= low[at.j * 3 + c]! - NOISE && v <= high[at.j * 3 + c]! + NOISE;
    }
    if (isNear) left[j] = 0;
  }
}

/** Where most of the marked px lie, by thirds of the screen. */
function whereMost(left: Uint8Array, { width, height }: Raster): string | null {
  const counts = new Array<number>(9).fill(0);
  for (let j = 0; j < left.length; j++) {
    if (!left[j]) continue;
    const x = j % width;
    const cell =
      Math.min(2, Math.floor((((j - x) / width) * 3) / height)) * 3 +
      Math.min(2, Math.floor((x * 3) / width));
    counts[cell]!++;
  }
  const most = Math.max(...counts);
  if (most === 0) return null;
  const at = counts.indexOf(most);
  const [across, down] = [ACROSS[at % 3]!, DOWN[Math.floor(at / 3)]!];
  return [down, across].filter((w) => w !== 'middle').join(' ') || 'middle';
}

/**
 * What of a screenshot neither the case explains, nor the case with each layer where it was found, nor the case without a layer that
 * has moved or is not there.
 * @param ignored 1 for each px that is not looked at
 */
export function unexplained(
  { whole, shot, ignored }: { whole: Raster; shot: Raster; ignored: Uint8Array },
  layers: readonly Explaining[],
): Unexplained {
  const left = new Uint8Array(ignored.length);
  let looked = 0;
  for (let j = 0; j < left.length; j++)
    if (!ignored[j]) {
      left[j] = 1;
      looked++;
    }
  const ofWhole = rangesOf(whole);
  explain(left, shot, ofWhole, { x: 0, y: 0 });
  for (const { without, located } of layers) {
    const moved = located.state === 'found' && Math.max(Math.abs(located.at.x), Math.abs(located.at.y)) >= 1;
    if (located.state === 'found' && moved)
      explain(left, shot, ofWhole, { x: Math.round(located.at.x), y: Math.round(located.at.y) });
    // What a layer has left is as it is without it.
    if (located.state === 'not-found' || moved) explain(left, shot, rangesOf(without), { x: 0, y: 0 });
  }
  let count = 0;
  for (const is of left) count += is;
  return { share: looked === 0 ? 0 : count / looked, where: whereMost(left, shot) };
}
