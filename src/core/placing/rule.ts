import { z } from 'zod';
import { Length } from '../values/values';

/** What an edge is measured from. `layer:<id>` is the box of another layer, `parent` that of the holding panel. */
export const Region = z.union([
  z.enum(['screen', 'safe', 'content', 'margins', 'parent']),
  z.templateLiteral(['layer:', z.string().min(1).max(64)]),
]);
export type Region = z.infer<typeof Region>;

/** What 100 % of an extent is: a region on the same axis, or the short or long side of the screen. */
export const Basis = z.union([Region, z.enum(['short', 'long'])]);
export type Basis = z.infer<typeof Basis>;

/**
 * Measured by default from the same side of the region, inwards positive. `side` names the other side, and then
 * away from the region is positive. A % of the offset is of the edge's own region.
 */
export const Edge = z.strictObject({
  region: Region,
  side: z.enum(['start', 'end']).optional(),
  offset: Length,
});
export type Edge = z.infer<typeof Edge>;

export const Bound = z.strictObject({ length: Length, of: Basis.optional() });
export type Bound = z.infer<typeof Bound>;

const bounds = { min: Bound.optional(), max: Bound.optional() };
export const Extent = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('length'), length: Length, of: Basis.optional(), ...bounds }),
  z.strictObject({ kind: z.literal('natural'), ...bounds }),
  z.strictObject({ kind: z.literal('from-ratio'), ...bounds }),
  /** only of a panel: what it holds, and its padding */
  z.strictObject({ kind: z.literal('hug'), ...bounds }),
]);
export type Extent = z.infer<typeof Extent>;

export const AxisRule = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('edges'), start: Edge, end: Edge }),
  z.strictObject({ kind: z.literal('start'), edge: Edge, extent: Extent }),
  z.strictObject({ kind: z.literal('end'), edge: Edge, extent: Extent }),
  /** `shift` > 0 is right or down; its % is of the region. */
  z.strictObject({ kind: z.literal('middle'), region: Region, shift: Length, extent: Extent }),
]);
export type AxisRule = z.infer<typeof AxisRule>;

/** `own` is the picture's natural shape; a number is width ÷ height. */
export const Ratio = z.strictObject({
  value: z.union([z.literal('own'), z.number().positive()]),
  strict: z.boolean().default(true),
});
export type Ratio = z.infer<typeof Ratio>;

const followsRatio = (rule: AxisRule) => rule.kind !== 'edges' && rule.extent.kind === 'from-ratio';

/** Whether a panel goes around what it holds along an axis. */
export const isHugging = (rule: AxisRule) => rule.kind !== 'edges' && rule.extent.kind === 'hug';

const isNatural = (rule: AxisRule) => rule.kind !== 'edges' && rule.extent.kind === 'natural';

interface Shaped {
  x: AxisRule;
  y: AxisRule;
  ratio?: Ratio | undefined;
}

/** Whether a shape stands beside two given extents, which it contradicts. The natural size of a picture has its own. */
const hasIdleShape = ({ x, y, ratio }: Shaped) =>
  ratio !== undefined &&
  !followsRatio(x) &&
  !followsRatio(y) &&
  !(ratio.value === 'own' && isNatural(x) && isNatural(y));

export const Placing = z
  .strictObject({ x: AxisRule, y: AxisRule, ratio: Ratio.optional() })
  .refine((p) => !(followsRatio(p.x) && followsRatio(p.y)), {
    message: 'Width and height cannot both follow from the ratio: give one of them a size.',
  })
  .refine((p) => p.ratio !== undefined || !(followsRatio(p.x) || followsRatio(p.y)), {
    message: 'An extent that follows from the ratio needs a ratio.',
  })
  .refine((p) => !hasIdleShape(p), {
    message:
      'Width and height are given: there is no shape to keep. Drop the shape, or let one of them follow.',
  });
export type Placing = z.infer<typeof Placing>;

/** Takes a shape out of a rule that cannot keep it, because width and height are both given. */
export function withoutIdleShape<P extends Shaped>(placing: P): P {
  if (!hasIdleShape(placing)) return placing;
  const { ratio: _, ...rest } = placing;
  return rest as P;
}
