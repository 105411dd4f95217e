import { ciede2000, labOf, over } from './colour';
import { checkSameSize, type Raster, type Rgba } from './raster';

/** What a see-through pixel is laid on: a difference that one of them hides shows on the other. */
const GROUNDS: readonly Omit<Rgba, 'a'>[] = [
  { r: 0, g: 0, b: 0 },
  { r: 255, g: 255, b: 255 },
];

/** From which on two pictures show something else: one that is encoded with far less quality stays well under it. */
export const ANOTHER_PICTURE = 5;

const pixelAt = ({ data }: Raster, i: number): Rgba => ({
  r: data[i * 4]!,
  g: data[i * 4 + 1]!,
  b: data[i * 4 + 2]!,
  a: data[i * 4 + 3]! / 255,
});

/**
 * How far two pictures of one size lie apart: the mean over all pixels, on black and on white, of the difference of their
 * colours as it is seen, CIEDE2000; 0 for the same picture, about 1 where it is just noticeable all over.
 * @throws RangeError for two sizes
 */
export function apart(one: Raster, two: Raster): number {
  checkSameSize(one, two);
  const count = one.width * one.height;
  let sum = 0;
  for (let i = 0; i < count; i++) {
    const [a, b] = [pixelAt(one, i), pixelAt(two, i)];
    for (const ground of GROUNDS) sum += ciede2000(labOf(over(a, ground)), labOf(over(b, ground)));
  }
  return sum / (count * GROUNDS.length);
}
