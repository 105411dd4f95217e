import { z } from 'zod';
import { Fit } from '../fit/rule';
import { Placing } from '../placing/rule';
import { Colour, Id, Length } from './values';
import { When } from './when';

export const LAYER_ROLES = ['background', 'logo', 'text', 'other'] as const;
export type LayerRole = (typeof LAYER_ROLES)[number];

const common = {
  id: Id,
  name: z.string().min(1).max(120),
  role: z.enum(LAYER_ROLES),
  visible: z.boolean(),
  /** 0..1; a layer without one is opaque */
  opacity: z.number().min(0).max(1).optional(),
};

export const GroundLayer = z.looseObject({
  ...common,
  kind: z.literal('ground'),
  colour: Colour,
});
export const PictureLayer = z.looseObject({
  ...common,
  kind: z.literal('picture'),
  picture: Id,
  placing: Placing,
  fit: Fit,
  /** rules that differ when the screen is turned, or by its width; the first that holds wins */
  when: z.array(When).max(16).optional(),
});

/** Drawn in the order of the scene's list, back to front. A ground fills the whole screen. */
export const Layer = z.discriminatedUnion('kind', [GroundLayer, PictureLayer]);
export type Layer = z.infer<typeof Layer>;
export type PictureLayer = z.infer<typeof PictureLayer>;

export const Bars = z.object({
  status: z.object({ shown: z.boolean() }),
  title: z.object({ shown: z.boolean(), height: z.number().nonnegative() }),
  navigation: z.object({ shown: z.boolean(), style: z.enum(['gesture', 'buttons']) }),
});
export type Bars = z.infer<typeof Bars>;

export const Margin = z.object({ left: Length, right: Length, top: Length, bottom: Length });
export type Margin = z.infer<typeof Margin>;

export const Scene = z.looseObject({
  id: Id,
  name: z.string().min(1).max(120),
  role: z.enum(['first-window', 'splash', 'screen', 'icon']),
  bars: Bars,
  margin: Margin,
  layers: z.array(Layer).max(64),
});
export type Scene = z.infer<typeof Scene>;
