import type { Rect, Size } from '@/core/geometry/rect';

/** All lengths are px of the drawing; those called whole are integers. */

export interface Rounding {
  rect: Rect;
  radius: number;
}

interface Point {
  x: number;
  y: number;
}

interface Stop {
  /** 0..1 */
  at: number;
  colour: string;
}

/** Colours are `#rrggbb` or `#rrggbbaa`; between stops they are mixed without being premultiplied, as surfaces do it. */
export type FillInk =
  | { kind: 'colour'; colour: string }
  | { kind: 'linear'; from: Point; to: Point; stops: Stop[] }
  | { kind: 'radial'; centre: Point; radius: number; stops: Stop[] };

export interface Fill {
  kind: 'fill';
  /** whole */
  rect: Rect;
  /** of the corners */
  radius: number;
  ink: FillInk;
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
  /** replaces every colour and keeps the alpha; `null` keeps the colours */
  tint: string | null;
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
  tint: string | null;
  /** 0..1 */
  opacity: number;
}

/** Lines of text as the outlines of their letters, each from a point on its baseline on. */
export interface Letters {
  kind: 'letters';
  lines: { outline: string; at: Point }[];
  /** whole; all of the letters lie inside it */
  bounds: Rect;
  /** px per unit of the outlines */
  scale: number;
  colour: string;
  /** 0..1 */
  opacity: number;
}

/** Drawn as one: its opacity and its clip act on the whole of it. */
export interface Group {
  kind: 'group';
  /** `null` cuts nothing off */
  clip: Rounding | null;
  /** 0..1 */
  opacity: number;
  commands: Command[];
}

/** Clears what lies outside the rounded glass and fills the cutouts. */
export interface Glass {
  kind: 'glass';
  glass: Rounding;
  holes: Rounding[];
  /** of the cutouts */
  colour: string;
}

export type Command = Fill | Image | Pattern | Letters | Group | Glass;

/** What one case looks like, back to front, for any surface. */
export interface Drawing {
  /** whole px */
  size: Size;
  commands: Command[];
}

/** The files that commands draw, each once. */
export const hashesIn = (commands: readonly Command[]): string[] => [
  ...new Set(
    commands.flatMap((c) => {
      if (c.kind === 'group') return hashesIn(c.commands);
      return c.kind === 'image' || c.kind === 'pattern' ? [c.hash] : [];
    }),
  ),
];
