import type { Size } from '../geometry/rect';

/** The number of axes along which a box has no extent, 0..2. Nothing is seen of a layer with one. */
export const collapsed = ({ width, height }: Size): number => Number(width <= 0) + Number(height <= 0);
