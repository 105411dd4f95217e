import { extent, span, type Axis, type Rect } from '../geometry/rect';

/** Distance of a drawing's middle from where its rule means it to be, lu; > 0 is right / down. */
export interface OffCentre {
  /** from the middle of the region that the rule names */
  own: number;
  /** from the middle of the screen and of the safe area, shifted alike */
  screen: number;
  safe: number;
}

const middle = (r: Rect, axis: Axis) => span(r, axis).start + extent(r, axis) / 2;

/**
 * @param inked the part of the drawing that has ink
 * @param meant where the rule puts the middle, absolute
 * @param shift how far that is from the middle of the region
 */
export function offCentre(
  inked: Rect,
  axis: Axis,
  meant: number,
  shift: number,
  regions: { screen: Rect; safe: Rect },
): OffCentre {
  const at = middle(inked, axis);
  const from = (r: Rect) => at - (middle(r, axis) + shift);
  return { own: at - meant, screen: from(regions.screen), safe: from(regions.safe) };
}
