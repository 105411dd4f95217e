import { z } from 'zod';
import type { Axis } from '../geometry/rect';
import { Length } from '../values/values';

export const FIT_NAMES = [
  'cover',
  'contain',
  'stretch',
  'natural',
  'scale-down',
  'match-width',
  'match-height',
] as const;
export type FitName = (typeof FIT_NAMES)[number];

const Side = z.union([Length, z.literal('auto')]);

/** % of an explicit width or height is of the box. Both `auto` is the natural size, one keeps the shape. */
export const FitSize = z.union([z.enum(FIT_NAMES), z.strictObject({ width: Side, height: Side })]);
export type FitSize = z.infer<typeof FitSize>;

export const Repeat = z.enum(['no-repeat', 'repeat', 'space', 'round']);
export type Repeat = z.infer<typeof Repeat>;

const AxisPosition = z.strictObject({ percent: z.number(), offset: Length });

/** `position` as in CSS: the point at `percent` of the picture lies on the same point of the box, plus `offset`. */
export const Align = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('position'), x: AxisPosition, y: AxisPosition }),
  z.strictObject({ kind: z.literal('focal') }),
]);
export type Align = z.infer<typeof Align>;

/** Whether more than one copy may be drawn. */
export const isRepeating = ({ repeat: { x, y } }: { repeat: Record<Axis, Repeat> }): boolean =>
  x !== 'no-repeat' || y !== 'no-repeat';

export const Fit = z
  .strictObject({
    size: FitSize,
    repeat: z.strictObject({ x: Repeat, y: Repeat }),
    align: Align,
    clip: z.boolean(),
    cornerRadius: Length,
  })
  .refine((f) => f.align.kind !== 'focal' || !isRepeating(f), {
    message: 'A repeated picture has no focal point: give it a position.',
  });
export type Fit = z.infer<typeof Fit>;
