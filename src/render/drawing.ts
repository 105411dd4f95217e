import type { Rect, Size } from '@/core/geometry/rect';

/** All lengths are px of the drawing; those called whole are integers. */

export interface Rounding {
  rect: Rect;
  radius: number;
}

export interface Fill {
  kind: 'fill';
  /** whole */
  rect: Rect;
  /** `#rrggbb` or `#rrggbbaa` */
  colour: string;
  /** 0..1 */
  opacity: number;
}

/** One copy of a picture, resampled to `dest`, of which only `clip` is drawn. Both are whole. */
export interface Image {
  kind: 'image';
  hash: string;
  dest: Rect;
  clip: Rect;
  rounding: Rounding | null;
  /** 0..1 */
  opacity: number;
}

/**
 * Copies on a grid. The tile is resampled once to a whole size and set into a whole cell (the rest is the gap);
 * the cells are then laid out at the exact `pitch` from `origin`, so that the error of rounding does not add up.
 */
export interface Pattern {
  kind: 'pattern';
  hash: string;
  tile: Size;
  cell: Size;
  pitch: { x: number; y: number };
  /** whole; the corner of the anchored tile */
  origin: { x: number; y: number };
  /** whole; the part of the drawing that is covered */
  clip: Rect;
  rounding: Rounding | null;
  /** 0..1 */
  opacity: number;
}

/** Clears what lies outside the rounded glass and fills the cutouts. */
export interface Glass {
  kind: 'glass';
  glass: Rounding;
  holes: Rounding[];
  /** of the cutouts */
  colour: string;
}

export type Command = Fill | Image | Pattern | Glass;

/** What one case looks like, back to front, for any surface. */
export interface Drawing {
  /** whole px */
  size: Size;
  commands: Command[];
}
