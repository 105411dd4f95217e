import type { Size } from '../geometry/rect';
import type { Case } from '../screens/cases';
import { isSideways } from '../screens/turn';

/** How far apart the two extents of a screenshot may say its scale, px of the screenshot. */
const ROUNDED = 1.01;

/** The px of a case, as it is held. */
export function heldPx({ screen, rotation }: Case): Size {
  const { width, height } = screen.framebufferPx;
  return isSideways(rotation) ? { width: height, height: width } : { width, height };
}

/** Screenshot px per px of a screen; `null` where it is of another shape. */
export function scaleOf(shot: Size, screen: Size): number | null {
  const scale = shot.width / screen.width;
  return Math.abs(screen.height * scale - shot.height) <= ROUNDED ? scale : null;
}

/**
 * The cases that a screenshot may be of: those of its very size; where there is none, those of its shape, of which it may
 * have been made smaller.
 */
export function casesOfSize(cases: readonly Case[], shot: Size): Case[] {
  const same = cases.filter((c) => scaleOf(shot, heldPx(c)) === 1);
  if (same.length > 0) return same;
  return cases.filter((c) => {
    const scale = scaleOf(shot, heldPx(c));
    return scale !== null && scale < 1;
  });
}
