import type { Piece } from '@/core/map/pieces';
import type { MapRange, Span } from '@/core/map/range';

/** Where a size lies on the map, CSS px; width and height are logarithmic, with the same step both ways. */
export interface MapScale {
  width: number;
  height: number;
  x: (lu: number) => number;
  y: (lu: number) => number;
  widthAt: (x: number) => number;
  heightAt: (y: number) => number;
}

const lengthOf = ({ low, high }: Span) => Math.log(high / low);

/** @param room CSS px that the map may be wide and high */
export function scaleOf({ width, height }: MapRange, room: { width: number; height: number }): MapScale {
  const per = Math.min(room.width / lengthOf(width), room.height / lengthOf(height));
  const [w, h] = [per * lengthOf(width), per * lengthOf(height)];
  return {
    width: w,
    height: h,
    x: (lu) => per * Math.log(lu / width.low),
    y: (lu) => h - per * Math.log(lu / height.low),
    widthAt: (x) => width.low * Math.exp(x / per),
    heightAt: (y) => height.low * Math.exp((h - y) / per),
  };
}

/** The pieces of one outcome as the data of one path. */
export function pathOf(pieces: readonly Piece[], { x, y }: MapScale): string {
  const tenth = (v: number) => Math.round(v * 10) / 10;
  return pieces
    .map(({ points }) => {
      const at: string[] = [];
      for (let i = 0; i < points.length; i += 2)
        at.push(`${tenth(x(points[i]!))} ${tenth(y(points[i + 1]!))}`);
      return `M${at.join('L')}z`;
    })
    .join('');
}

const TICKS = [200, 240, 320, 480, 640, 800, 1024, 1366, 1920, 2560, 3840];

/** Sizes that are written at an edge of the map. */
export const ticksIn = ({ low, high }: Span): number[] =>
  TICKS.filter((t) => t > low * 1.02 && t < high * 0.99);

export const RATIO_LINES = [
  { label: '9 : 21', ratio: 9 / 21 },
  { label: '9 : 16', ratio: 9 / 16 },
  { label: '3 : 4', ratio: 3 / 4 },
  { label: '1 : 1', ratio: 1 },
  { label: '4 : 3', ratio: 4 / 3 },
  { label: '16 : 9', ratio: 16 / 9 },
  { label: '21 : 9', ratio: 21 / 9 },
] as const;

/** The two ends of the line of one ratio on the map, as sizes in lu. */
export function lineOf(ratio: number, { width, height }: MapRange) {
  const from = Math.max(width.low, height.low * ratio);
  const to = Math.min(width.high, height.high * ratio);
  return { from: { width: from, height: from / ratio }, to: { width: to, height: to / ratio } };
}
