import { z } from 'zod';
import { Id } from '../values/values';
import { documentObject } from '../values/object';

export const KINDS = [
  'compact-phone',
  'phone',
  'large-phone',
  'foldable-cover',
  'foldable-inner',
  'tablet',
  'split-window',
  'desktop-window',
  'tv',
] as const;
export type Kind = (typeof KINDS)[number];

/** What an icon is shown in: a screen to all that measures and draws, and none that somebody holds. */
export const SLOT_KIND = 'icon-slot';

/** What of a scene a file of an icon shows: all of it, what stands on its ground and plates, those alone, or its shape in one colour. */
export const ICON_VERSIONS = ['whole', 'glyph', 'plate', 'one-colour'] as const;
export type IconVersion = (typeof ICON_VERSIONS)[number];

/** Clockwise turns of the content against the natural position; the natural top is at the left at 90. */
export const Rotation = z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]);
export type Rotation = z.infer<typeof Rotation>;

const length = z.number().nonnegative();
const positive = z.number().positive();
const Px = z.strictObject({ width: z.int().positive(), height: z.int().positive() });
export const Insets = z.strictObject({ top: length, right: length, bottom: length, left: length });

/** In the natural rotation. A `hinge` of no width or no height is a fold line and takes no room. */
export const Cutout = documentObject({
  shape: z.enum(['notch', 'pill', 'circle', 'hinge']),
  x: z.number(),
  y: z.number(),
  width: length,
  height: length,
  radius: length,
});
export type Cutout = z.infer<typeof Cutout>;

/**
 * One set of display metrics. `width`, `height` are whole-number labels in lu; geometry uses
 * `framebufferPx ÷ density`. `insets` are per rotation, in the turned position; 180 is derived when absent.
 */
export const Screen = documentObject({
  id: Id,
  label: z.string().max(200),
  kind: z.enum([...KINDS, SLOT_KIND]),
  family: z.enum(['whole-number', 'density-class']),
  width: positive,
  height: positive,
  framebufferPx: Px,
  panelPx: Px,
  density: positive,
  ppi: positive.optional(),
  cornerRadius: length,
  /** where a mask leaves less than the whole to be seen: how far it reaches in on each side, lu; its corners are the screen’s */
  maskInset: length.optional(),
  insets: z.strictObject({ 0: Insets, 90: Insets, 180: Insets.optional(), 270: Insets }),
  bars: z.strictObject({
    status: z.strictObject({ portrait: length, landscape: length }),
    gesture: length.nullable(),
    buttons: length.nullable(),
  }),
  cutouts: z.array(Cutout).max(16),
  rotates: z.boolean(),
  weight: length,
  origin: z.enum(['catalogue', 'custom', 'imported', 'measured']),
  confidence: z.enum(['high', 'medium', 'low']),
  approximate: z.array(z.string()),
  /** whether it is looked at upside down as well */
  turnsOver: z.boolean().optional(),
  /** the size of text that its owner has chosen, as a share of the usual one; 1 when absent */
  textSize: positive.optional(),
  /** of a slot: what of an icon is seen in it; all when absent */
  shows: z.enum(ICON_VERSIONS).optional(),
});
export type Screen = z.infer<typeof Screen>;
