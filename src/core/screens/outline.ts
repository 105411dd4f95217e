import { bottom, fromSize, inset, right, type Rect } from '../geometry/rect';
import type { Turned } from './turn';

/** A rectangle with circular corners; `radius` is at most half of the shorter side. */
export interface RoundRect {
  rect: Rect;
  radius: number;
}

export interface Outline {
  glass: RoundRect;
  holes: RoundRect[];
}

/**
 * What the glass hides, in lu: the screen with its rounded corners, or what a mask leaves of it, and the cutouts. A notch is drawn out over
 * the edge it hangs on, so that only its inner corners are round. Fold lines without width are left out.
 */
export function outlineOf({ size, screen, cutouts }: Turned): Outline {
  const whole = fromSize(size);
  const holes = cutouts
    .filter((c) => c.width > 0 && c.height > 0)
    .map(({ shape, x, y, width, height, radius }) => {
      const rect = { x, y, width, height };
      return shape === 'notch' ? drawnOut(rect, radius, whole) : { rect, radius };
    });
  const { maskInset: m = 0, cornerRadius: radius } = screen;
  const seen = m > 0 ? inset(whole, { left: m, right: m, top: m, bottom: m }) : whole;
  return { glass: { rect: seen, radius }, holes };
}

function drawnOut(r: Rect, radius: number, whole: Rect): RoundRect {
  const left = r.x <= whole.x ? radius : 0;
  const top = r.y <= whole.y ? radius : 0;
  const width = r.width + left + (right(r) >= right(whole) ? radius : 0);
  const height = r.height + top + (bottom(r) >= bottom(whole) ? radius : 0);
  return {
    rect: { x: r.x - left, y: r.y - top, width, height },
    radius: Math.min(radius, width / 2, height / 2),
  };
}
