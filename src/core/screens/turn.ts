import type { PerSide, Rect, Side, Size } from '../geometry/rect';
import type { Cutout, Rotation, Screen } from './screen';

export const ORIENTATIONS = [
  'portrait-primary',
  'landscape-primary',
  'landscape-secondary',
  'portrait-secondary',
] as const;
export type Orientation = (typeof ORIENTATIONS)[number];

/** Whether what is natural across is held down. */
export const isSideways = (rotation: Rotation): boolean => rotation === 90 || rotation === 270;

/** A natural size as it is held, and one that is held as it is naturally. */
export const heldSize = ({ width, height }: Size, rotation: Rotation): Size =>
  isSideways(rotation) ? { width: height, height: width } : { width, height };

/** A screen held in one rotation: everything in turned coordinates, logical units. */
export interface Turned {
  screen: Screen;
  rotation: Rotation;
  orientation: Orientation;
  size: Size;
  insets: PerSide;
  cutouts: Cutout[];
}

/** Natural size in logical units: framebuffer ÷ density, not the rounded label. */
export const naturalSize = (screen: Screen): Size => ({
  width: screen.framebufferPx.width / screen.density,
  height: screen.framebufferPx.height / screen.density,
});

/**
 * A rectangle of a W × H screen in the coordinates of the turned screen; at 90 the natural top is at the left.
 * @param size natural size of the screen
 */
export function turnRect(r: Rect, rotation: Rotation, size: Size): Rect {
  const { x, y, width: w, height: h } = r;
  switch (rotation) {
    case 0:
      return { x, y, width: w, height: h };
    case 90:
      return { x: y, y: size.width - x - w, width: h, height: w };
    case 180:
      return { x: size.width - x - w, y: size.height - y - h, width: w, height: h };
    case 270:
      return { x: size.height - y - h, y: x, width: h, height: w };
  }
}

function turnCutout(cutout: Cutout, rotation: Rotation, size: Size): Cutout {
  const { x, y, width, height } = turnRect(cutout, rotation, size);
  return { ...cutout, x, y, width, height };
}

const CLOCKWISE: Side[] = ['top', 'right', 'bottom', 'left'];

/** Where a side of the natural screen lies once the screen is turned: the natural top is at the left at 90. */
export const turnSide = (side: Side, rotation: Rotation): Side =>
  CLOCKWISE[(CLOCKWISE.indexOf(side) + 4 - rotation / 90) % 4]!;

/**
 * Name of a rotation after the W3C Screen Orientation specification: rotation 0 is the primary orientation of
 * the natural shape; a square screen counts as portrait.
 */
export function orientationOf(screen: Screen, rotation: Rotation): Orientation {
  const { width, height } = screen.framebufferPx;
  const names = width > height ? ORIENTATIONS_BY_TURN.landscape : ORIENTATIONS_BY_TURN.portrait;
  return names[rotation / 90]!;
}

/** By the natural shape, a quarter turn after the other. */
const ORIENTATIONS_BY_TURN = {
  portrait: ['portrait-primary', 'landscape-primary', 'portrait-secondary', 'landscape-secondary'],
  landscape: ['landscape-primary', 'portrait-primary', 'landscape-secondary', 'portrait-secondary'],
} as const satisfies Record<string, readonly Orientation[]>;

export const isPortrait = (orientation: Orientation) => orientation.startsWith('portrait');

/**
 * How far the cutouts reach in from each side. A cutout belongs to the side it is nearest to in the natural
 * rotation; the top wins a tie (a hole in the corner). Fold lines and hinges reach in from no side.
 */
export function cutoutDepths(screen: Screen, rotation: Rotation): PerSide {
  const { width, height } = naturalSize(screen);
  const depths: PerSide = { left: 0, right: 0, top: 0, bottom: 0 };
  for (const c of screen.cutouts) {
    if (c.shape === 'hinge') continue;
    const gaps: [Side, number, number][] = [
      ['top', c.y, c.height],
      ['left', c.x, c.width],
      ['right', width - c.x - c.width, c.width],
      ['bottom', height - c.y - c.height, c.height],
    ];
    const [side, gap, thickness] = gaps.reduce((best, g) => (g[1] < best[1] ? g : best));
    const turned = turnSide(side, rotation);
    depths[turned] = Math.max(depths[turned], gap + thickness);
  }
  return depths;
}

/** Stored insets are per rotation. Upside down the bars stay where they are and the cutouts come on top. */
function storedInsets(screen: Screen, rotation: Rotation): PerSide {
  const stored = screen.insets[rotation];
  if (stored) return stored;
  const base = screen.insets[0];
  const depths = cutoutDepths(screen, 180);
  return {
    left: Math.max(base.left, depths.left),
    right: Math.max(base.right, depths.right),
    top: Math.max(base.top, depths.top),
    bottom: Math.max(base.bottom, depths.bottom),
  };
}

/** Size of the screen as it is held, lu. */
export const turnedSize = (screen: Screen, rotation: Rotation): Size =>
  heldSize(naturalSize(screen), rotation);

export function turn(screen: Screen, rotation: Rotation): Turned {
  const natural = naturalSize(screen);
  return {
    screen,
    rotation,
    orientation: orientationOf(screen, rotation),
    size: turnedSize(screen, rotation),
    insets: storedInsets(screen, rotation),
    cutouts: screen.cutouts.map((c) => turnCutout(c, rotation, natural)),
  };
}
