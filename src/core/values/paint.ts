import { z } from 'zod';
import { Colour } from './values';

/** `at` is a share of the way, 0..100 %. */
export const Stop = z.strictObject({ colour: Colour, at: z.number().min(0).max(100) });
export type Stop = z.infer<typeof Stop>;

const stops = z
  .array(Stop)
  .min(2)
  .max(8)
  .refine((list) => list.every((s, i) => i === 0 || s.at >= list[i - 1]!.at), {
    message: 'The colours of a gradient follow one another: no stop lies before the one in front of it.',
  });

/** As CSS Images 3 §3 has it: `angle` in degrees, 0 to the top, clockwise; a radial one ends at the farthest corner. */
export const Gradient = z.discriminatedUnion('gradient', [
  z.strictObject({ gradient: z.literal('linear'), angle: z.number(), stops }),
  z.strictObject({
    gradient: z.literal('radial'),
    /** % of the box */
    centre: z.strictObject({ x: z.number(), y: z.number() }),
    stops,
  }),
]);
export type Gradient = z.infer<typeof Gradient>;

/** What an area is filled with. Every colour in it may have a dark half. */
export const Paint = z.union([Colour, Gradient]);
export type Paint = z.infer<typeof Paint>;

/** Every colour of a paint. */
export const paintColours = (paint: Paint): Colour[] =>
  'gradient' in paint ? paint.stops.map((s) => s.colour) : [paint];
