import type { Size } from '../geometry/rect';
import type { Case } from '../screens/cases';
import { heldSize } from '../screens/turn';

/** By how much an extent of a screenshot that was made smaller may be rounded, px of the screenshot. */
const ROUNDED = 1;

/** The px of a case, as it is held. */
export const heldPx = ({ screen, rotation }: Case): Size => heldSize(screen.framebufferPx, rotation);

/** Screenshot px per px of a screen, for which both extents are rounded; `null` where it is of another shape. */
export function scaleOf(shot: Size, screen: Size): number | null {
  const low = Math.max((shot.width - ROUNDED) / screen.width, (shot.height - ROUNDED) / screen.height);
  const high = Math.min((shot.width + ROUNDED) / screen.width, (shot.height + ROUNDED) / screen.height);
  if (low > high) return null;
  return Math.min(high, Math.max(low, shot.width / screen.width));
}

const isSize = (a: Size, b: Size) => a.width === b.width && a.height === b.height;

/**
 * The cases that a screenshot may be of: those of its very size; where there is none, those of its shape, of which it may
 * have been made smaller.
 */
export function casesOfSize(cases: readonly Case[], shot: Size): Case[] {
  const same = cases.filter((c) => isSize(shot, heldPx(c)));
  if (same.length > 0) return same;
  return cases.filter((c) => {
    const scale = scaleOf(shot, heldPx(c));
    return scale !== null && scale < 1;
  });
}
