import { clamp, type Size } from '../geometry/rect';

/** Bounds of both axes, lu; 0 and Infinity where there are none. */
export interface Bounds {
  minWidth: number;
  maxWidth: number;
  minHeight: number;
  maxHeight: number;
}

/**
 * A size with a shape under bounds of both axes. The shape is kept while the bounds allow it; where they contradict
 * each other, each axis goes to its own bound and the shape gives way. Of two bounds that are both passed in the same
 * direction the one decides that asks for more. min wins over max.
 * Source: CSS 2.1 §10.4, the table for replaced elements whose width and height are both auto.
 */
export function boundedKeepingShape({ width, height }: Size, bounds: Bounds): Size {
  const { minWidth, minHeight } = bounds;
  const within = (f: number, g: number): Size => ({
    width: clamp(width * f, minWidth, Math.max(minWidth, bounds.maxWidth)),
    height: clamp(height * g, minHeight, Math.max(minHeight, bounds.maxHeight)),
  });
  const alone = within(1, 1);
  const across = alone.width / width;
  const down = alone.height / height;
  if ((across - 1) * (down - 1) < 0) return alone;
  const factor = across < 1 || down < 1 ? Math.min(across, down) : Math.max(across, down);
  return within(factor, factor);
}
