import { z } from 'zod';
import { Bars, Margin } from '../screens/bar-rules';
import { Fit } from '../fit/rule';
import { Placing } from '../placing/rule';
import { TextStyle } from '../text/style';
import { Paint } from '../values/paint';
import { Colour, Id, Length } from '../values/values';
import { When } from './when';
import { documentObject } from '../values/object';

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

/** Of every layer that a rule places. */
const placed = {
  ...common,
  /** the panel that holds it */
  parent: Id.optional(),
  placing: Placing,
  /** rules that differ when the screen is turned, or by its width; the first that holds wins */
  when: z.array(When).max(16).optional(),
};

export const GroundLayer = documentObject({
  ...common,
  kind: z.literal('ground'),
  /** one colour, or a gradient */
  colour: Paint,
});
export const PictureLayer = documentObject({
  ...placed,
  kind: z.literal('picture'),
  picture: Id,
  fit: Fit,
  /** keeps the picture's alpha and replaces its colour */
  tint: Colour.optional(),
});
export const TextLayer = documentObject({
  ...placed,
  kind: z.literal('text'),
  text: z.string().max(2000),
  style: TextStyle,
});
/** An area that can hold layers, which then name it as their parent. Its opacity and its clip act on all of them. */
export const PanelLayer = documentObject({
  ...placed,
  kind: z.literal('panel'),
  colour: Paint,
  cornerRadius: Length,
  /** % is of the screen along the same axis */
  padding: z.strictObject({ left: Length, right: Length, top: Length, bottom: Length }),
  /** whether what it holds ends at its edges */
  clip: z.boolean(),
});

/** Drawn in the order of the scene's list, back to front. A ground fills the whole screen. */
export const Layer = z.discriminatedUnion('kind', [GroundLayer, PictureLayer, TextLayer, PanelLayer]);
export type Layer = z.infer<typeof Layer>;
export type GroundLayer = z.infer<typeof GroundLayer>;
export type PictureLayer = z.infer<typeof PictureLayer>;
export type TextLayer = z.infer<typeof TextLayer>;
export type PanelLayer = z.infer<typeof PanelLayer>;
export type PlacedLayer = PictureLayer | TextLayer | PanelLayer;

export const isPlaced = (layer: Layer): layer is PlacedLayer => layer.kind !== 'ground';

export const Scene = documentObject({
  id: Id,
  name: z.string().min(1).max(120),
  role: z.enum(['first-window', 'splash', 'screen', 'icon']),
  bars: Bars,
  margin: Margin,
  /** `rtl` shows the scene mirrored, as for a language that is written from right to left */
  direction: z.enum(['ltr', 'rtl']).optional(),
  layers: z.array(Layer).max(64),
}).superRefine(({ layers }, ctx) => {
  for (const message of parentProblems(layers)) ctx.addIssue({ code: 'custom', message, path: ['layers'] });
});
export type Scene = z.infer<typeof Scene>;

/** The margins as they are drawn: the right-to-left preview mirrors them like everything else of the scene. */
export const drawnMargin = ({ margin, direction }: Pick<Scene, 'margin' | 'direction'>): Margin =>
  direction === 'rtl' ? { ...margin, left: margin.right, right: margin.left } : margin;

/** Parents that are not there or are no panels, and panels that hold themselves. */
function parentProblems(layers: readonly Layer[]): string[] {
  const byId = new Map(layers.map((l) => [l.id, l]));
  const parentOf = (l: Layer | undefined) => (l && isPlaced(l) ? l.parent : undefined);
  return layers.flatMap((layer) => {
    const parent = parentOf(layer);
    if (parent === undefined) return [];
    if (byId.get(parent)?.kind !== 'panel')
      return [`The layer “${layer.name}” is inside “${parent}”, which is no panel of this scene.`];
    const seen = new Set([layer.id]);
    for (let id: string | undefined = parent; id !== undefined; id = parentOf(byId.get(id))) {
      if (seen.has(id)) return [`The panel “${layer.name}” cannot hold itself.`];
      seen.add(id);
    }
    return [];
  });
}
