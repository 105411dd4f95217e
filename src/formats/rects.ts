import { z } from 'zod';
import type { Rect } from '@/core/geometry/rect';

const Numbers = z.array(z.coerce.number().finite()).length(4);

/** Rectangles as they stand in an address, “0,0,360,24;0,776,360,24”; what is none is left out. */
export const rectsIn = (text: string): Rect[] =>
  text.split(';').flatMap((one) => {
    const { data } = Numbers.safeParse(one.split(','));
    if (!data) return [];
    const [x, y, width, height] = data as [number, number, number, number];
    return [{ x, y, width, height }];
  });
