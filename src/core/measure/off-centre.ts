import { type Axis, type Rect } from '../geometry/rect';

/** Distance of a drawing's middle from where its rule means it to be, lu; > 0 is right / down. */
export class OffCentre {
  constructor(
    /** from the middle of the region that the rule names */
    readonly own: number,
    /** from the middle of the screen and of the safe area, shifted alike */
    readonly screen: number,
    readonly safe: number,
  ) {}
}

/** Of both axes; `null` for one whose rule does not say “middle”. */
export class OffCentres {
  constructor(
    readonly x: OffCentre | null,
    readonly y: OffCentre | null,
  ) {}
}

const middle = (r: Rect, axis: Axis) => (axis === 'x' ? r.x + r.width / 2 : r.y + r.height / 2);

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
  return new OffCentre(
    at - meant,
    at - (middle(regions.screen, axis) + shift),
    at - (middle(regions.safe, axis) + shift),
  );
}
