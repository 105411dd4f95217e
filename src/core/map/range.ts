import type { Size } from '../geometry/rect';

/** Sizes from the least to the greatest, lu. */
export interface Span {
  low: number;
  high: number;
}

/** The sizes of windows that a map shows, lu. */
export interface MapRange {
  width: Span;
  height: Span;
}

/** Wide enough for what windows are usually given; larger where a screen asks for it. */
const USUAL: MapRange = { width: { low: 160, high: 2560 }, height: { low: 200, high: 1600 } };
/** Room beyond a screen that lies outside the usual range, as a factor. */
const ROOM = 1.1;

const around = ({ low, high }: Span, values: readonly number[]): Span => ({
  low: values.reduce((least, v) => (v < low ? Math.min(least, v / ROOM) : least), low),
  high: values.reduce((most, v) => (v > high ? Math.max(most, v * ROOM) : most), high),
});

/** The range of a map on which all of these sizes lie. */
export const rangeFor = (sizes: readonly Size[]): MapRange => ({
  width: around(
    USUAL.width,
    sizes.map((s) => s.width),
  ),
  height: around(
    USUAL.height,
    sizes.map((s) => s.height),
  ),
});
