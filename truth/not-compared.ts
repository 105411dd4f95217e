import type { Rect } from '../src/core/geometry/rect';
import type { PlacedResult } from '../src/core/survey/survey';

/**
 * What is left out of painting, px: texts, whose letters are edges all over, and the sides of repeated pictures, where
 * the engine lets the next copy shine in as far as a pixel of the file is drawn.
 */
export function notCompared(l: PlacedResult, scale: number): Rect[] {
  const px = ({ x, y, width, height }: Rect) => ({
    x: x * scale,
    y: y * scale,
    width: width * scale,
    height: height * scale,
  });
  const { box, placement: p } = l;
  if (l.kind === 'text') {
    const width = Math.max(box.width, p.drawn.width) + 16;
    const height = Math.max(box.height, p.drawn.height) + 16;
    return [px({ x: Math.min(box.x, p.drawn.x) - 8, y: box.y - 8, width, height })];
  }
  if (l.kind !== 'picture' || (!p.tiles.x && !p.tiles.y)) return [];
  const reach = (Math.max(p.scale.x, p.scale.y) / l.rendition.density + 2) * 1.5;
  const { x, y, width, height } = box;
  return [
    { x: x - reach, y, width: 2 * reach, height },
    { x: x + width - reach, y, width: 2 * reach, height },
    { x, y: y - reach, width, height: 2 * reach },
    { x, y: y + height - reach, width, height: 2 * reach },
  ].map(px);
}
