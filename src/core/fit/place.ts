import {
  clamp,
  extent,
  fittingRadius,
  intersect,
  rectOf,
  type Axis,
  type Rect,
  type Size,
} from '../geometry/rect';
import { resolveLength, type Length, type NamedValue } from '../values/values';
import { isRepeating, type Fit, type FitSize, type Repeat } from './rule';

/** Tiles along one axis: the anchored one starts at the drawn rectangle, the next `pitch` further on. */
export interface Tiling {
  /** distance from the start of a tile to the start of the next, lu */
  pitch: number;
  /** what is left empty between two tiles, lu */
  gap: number;
  /** number of tiles in the box where the mode fixes it (`round`, `space`), else `null` */
  count: number | null;
}

/** How a picture lies in its box on one case. Rectangles are absolute on the screen, in lu. */
export class Placement {
  /** `visible` as a rectangle of the picture, in lu of the natural size */
  readonly source: Rect | null;

  constructor(
    readonly box: Rect,
    readonly natural: Size,
    /** lu drawn per lu of the natural size */
    readonly scale: Readonly<Record<Axis, number>>,
    /** the whole picture before anything is cut off; the anchored tile of a repeated one */
    readonly drawn: Rect,
    /** `null` on an axis along which there is a single copy */
    readonly tiles: Readonly<Record<Axis, Tiling | null>>,
    /** whether the drawing ends at the box; a picture that may repeat always does, also where there is room for one */
    readonly clipped: boolean,
    /** of the box, at most half of its shorter side, lu */
    readonly cornerRadius: number,
    /** the part of `drawn` that is on the screen and not cut off */
    readonly visible: Rect | null,
  ) {
    this.source =
      visible &&
      rectOf(
        (visible.x - drawn.x) / scale.x,
        (visible.y - drawn.y) / scale.y,
        visible.width / scale.x,
        visible.height / scale.y,
      );
  }
}

class Scale {
  constructor(
    readonly x: number,
    readonly y: number,
  ) {}
}

export interface FitInput {
  fit: Fit;
  /** natural size, lu, both > 0 */
  natural: Size;
  /** absolute on the screen */
  box: Rect;
  /** the whole screen, or whatever ends the view */
  screen: Rect;
  /** the point of the picture that a focal alignment keeps in the middle, 0..1 */
  focalPoint?: { x: number; y: number };
  /** device px per lu */
  density: number;
  named?: readonly NamedValue[];
}

/**
 * Size of the drawn picture before rounding to whole tiles.
 * Sources: CSS Images 3 §5.5 (object-fit), CSS Backgrounds 3 §3.9 (background-size).
 */
function drawnSize(
  size: FitSize,
  natural: Size,
  box: Size,
  resolve: (l: Length, basis: number) => number,
): Size {
  const sx = box.width / natural.width;
  const sy = box.height / natural.height;
  const scaled = (x: number, y = x): Size => ({ width: natural.width * x, height: natural.height * y });
  if (typeof size === 'object') {
    const width = size.width === 'auto' ? null : resolve(size.width, box.width);
    const height = size.height === 'auto' ? null : resolve(size.height, box.height);
    if (width === null && height === null) return natural;
    if (width === null) return scaled(height! / natural.height);
    return height === null ? scaled(width / natural.width) : { width, height };
  }
  switch (size) {
    case 'cover':
      return scaled(Math.max(sx, sy));
    case 'contain':
      return scaled(Math.min(sx, sy));
    case 'stretch':
      return { width: box.width, height: box.height };
    case 'natural':
      return natural;
    case 'scale-down':
      return scaled(Math.min(1, sx, sy));
    case 'match-width':
      return scaled(sx);
    case 'match-height':
      return scaled(sy);
  }
}

/** Fits by which an extent is no length of its own: engines take `cover` and `contain` for auto as well. */
const KEEP_SHAPE: readonly FitSize[] = ['natural', 'cover', 'contain', 'scale-down'];
const isAuto = (size: FitSize, axis: Axis) =>
  typeof size === 'object' ? (axis === 'x' ? size.width : size.height) === 'auto' : KEEP_SHAPE.includes(size);

/**
 * `round` changes the tile so that a whole number of them fills the box; where the other axis is not rounded and
 * its size is auto, that axis follows and keeps the shape. Source: CSS Backgrounds 3 §3.4 and §3.9.
 */
function roundedSize(size: Size, fit: Fit, box: Size): Size {
  const rounded = (axis: Axis) => {
    const tile = extent(size, axis);
    const room = extent(box, axis);
    return tile > 0 && room > 0 ? room / Math.max(1, Math.round(room / tile)) : tile;
  };
  const both = { x: fit.repeat.x === 'round', y: fit.repeat.y === 'round' };
  const width = both.x ? rounded('x') : size.width;
  const height = both.y ? rounded('y') : size.height;
  if (both.x && !both.y && isAuto(fit.size, 'y'))
    return { width, height: size.height * (width / size.width) };
  if (both.y && !both.x && isAuto(fit.size, 'x'))
    return { width: size.width * (height / size.height), height };
  return { width, height };
}

/** Start of the drawing from the start of its box. Source of `position`: CSS Values 4 §9 (position). */
function startAlong(axis: Axis, input: FitInput, drawn: number): number {
  const { fit, box } = input;
  const room = extent(box, axis);
  if (fit.align.kind === 'focal') {
    const focal = input.focalPoint?.[axis] ?? 0.5;
    const free = room - drawn;
    return clamp(room / 2 - focal * drawn, Math.min(0, free), Math.max(0, free));
  }
  const { percent, offset } = fit.align[axis];
  return ((room - drawn) * percent) / 100 + resolveLength(offset, room, input.density, input.named);
}

interface Along {
  start: number;
  tiling: Tiling | null;
}

/** Where the anchored copy starts, and how it repeats. Source: CSS Backgrounds 3 §3.4 (background-repeat). */
function along(axis: Axis, mode: Repeat, input: FitInput, drawn: number): Along {
  const room = extent(input.box, axis);
  const start = startAlong(axis, input, drawn);
  if (mode === 'no-repeat' || drawn <= 0) return { start, tiling: null };
  if (mode === 'repeat') return { start, tiling: { pitch: drawn, gap: 0, count: null } };
  if (mode === 'round')
    return { start, tiling: { pitch: drawn, gap: 0, count: Math.max(1, Math.round(room / drawn)) } };
  // A box that is a whole number of tiles wide must not lose one to the last bit of a division.
  const count = Math.floor(room / drawn + 1e-9);
  if (count < 2) return { start, tiling: null };
  const gap = Math.max(0, (room - count * drawn) / (count - 1));
  return { start: 0, tiling: { pitch: drawn + gap, gap, count } };
}

/**
 * Places a picture in its box: the one computation of where a picture is drawn, for the canvas, the server, the
 * measures and the exports.
 */
export function placePicture(input: FitInput): Placement {
  const { fit, natural, box, screen, density, named } = input;
  const resolve = (l: Length, basis: number) => resolveLength(l, basis, density, named);
  const size = roundedSize(drawnSize(fit.size, natural, box, resolve), fit, box);
  const x = along('x', fit.repeat.x, input, size.width);
  const y = along('y', fit.repeat.y, input, size.height);
  const drawn = rectOf(box.x + x.start, box.y + y.start, size.width, size.height);
  const clipped = fit.clip || isRepeating(fit);
  const window = clipped ? intersect(box, screen) : screen;
  const visible = window && intersect(drawn, window);
  return new Placement(
    box,
    natural,
    new Scale(size.width / natural.width, size.height / natural.height),
    drawn,
    x.tiling || y.tiling ? { x: x.tiling, y: y.tiling } : ONE_COPY,
    clipped,
    fittingRadius(resolve(fit.cornerRadius, Math.min(box.width, box.height)), box),
    visible,
  );
}

const ONE_COPY: Placement['tiles'] = { x: null, y: null };
const AS_IS = new Scale(1, 1);

/** What is drawn just where it lies, such as a text or a panel, as a placement: its natural size is its own. */
export const placeAsIs = (drawn: Rect, box: Rect, window: Rect, cornerRadius = 0): Placement =>
  new Placement(box, drawn, AS_IS, drawn, ONE_COPY, false, cornerRadius, intersect(drawn, window));
