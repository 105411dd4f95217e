import type { Placement } from '../fit/place';
import type { Rendition } from '../pictures/picture';

/**
 * Px of the file per framebuffer px drawn, the smaller of the two axes; over 1 is decoded for nothing. 1 for a vector.
 */
export function excess({ drawn }: Placement, rendition: Rendition, density: number): number {
  if (rendition.vector) return 1;
  return Math.min(rendition.widthPx / (drawn.width * density), rendition.heightPx / (drawn.height * density));
}

/**
 * Framebuffer px drawn per px of the file, the larger of the two axes; over 1 is soft. A vector is rasterised at
 * the size it is drawn at and gives 1.
 * @param density device px per lu
 */
export function enlargement({ drawn }: Placement, rendition: Rendition, density: number): number {
  if (rendition.vector) return 1;
  return Math.max((drawn.width * density) / rendition.widthPx, (drawn.height * density) / rendition.heightPx);
}
