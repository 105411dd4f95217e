import type { Size } from '../geometry/rect';
import type { Case } from './cases';
import { pxOf, withPx } from './own';
import type { Cutout } from './screen';
import { heldSize, naturalSize } from './turn';

/** A cutout keeps its place by its middle: one in the middle stays there, one in a corner beside its edges. */
function movedTo(cutout: Cutout, from: Size, to: Size): Cutout {
  const at = (start: number, extent: number, was: number, is: number) => {
    const share = (start + extent / 2) / was;
    const nearEdge = Math.min(start, was - start - extent) < extent;
    if (!nearEdge) return share * is - extent / 2;
    return share < 0.5 ? start : start + is - was;
  };
  return {
    ...cutout,
    x: at(cutout.x, cutout.width, from.width, to.width),
    y: at(cutout.y, cutout.height, from.height, to.height),
  };
}

/**
 * A case on the same screen, made wider or narrower, higher or lower, with the same insets, bars and corners.
 * @param size as it is held, lu; taken to whole px
 */
export function resized(c: Case, size: Size): Case {
  const { screen, rotation } = c;
  const natural = heldSize(size, rotation);
  const other = withPx(screen, pxOf(natural, screen.density));
  const [was, is] = [naturalSize(screen), naturalSize(other)];
  const cutouts = screen.cutouts.map((cutout) => movedTo(cutout, was, is));
  return { ...c, screen: { ...other, cutouts } };
}
