import { z } from 'zod';
import { Colour } from '../scene/values';

/** The fonts that come with the product. */
export const FONTS = ['sans', 'serif'] as const;
export const WEIGHTS = [400, 700] as const;
const Place = z.enum(['start', 'middle', 'end']);

export const TextStyle = z.object({
  font: z.enum(FONTS),
  weight: z.union([z.literal(400), z.literal(700)]),
  /** font size, lu */
  size: z.number().positive().max(1000),
  /** distance from line to line ÷ font size */
  lineHeight: z.number().positive().max(10),
  colour: Colour,
  /** of the lines in the box; `start` is left and top */
  align: z.object({ x: Place, y: Place }),
  /** what is over ends with an ellipsis */
  maxLines: z.int().positive().optional(),
  /** the font size down to which it may shrink to fit its box, lu; it never shrinks without one */
  shrinkTo: z.number().positive().optional(),
});
export type TextStyle = z.infer<typeof TextStyle>;

export type Face = `${TextStyle['font']}-${TextStyle['weight']}`;
export const faceOf = ({ font, weight }: Pick<TextStyle, 'font' | 'weight'>): Face => `${font}-${weight}`;
export const FACES: readonly Face[] = FONTS.flatMap((font) =>
  WEIGHTS.map((weight) => faceOf({ font, weight })),
);
