import { z } from 'zod';
import { Cutout, KINDS, Screen } from './screen';

const Edges = z.object({ top: z.number(), right: z.number(), bottom: z.number(), left: z.number() });

/** One entry of `data/screens.json`. */
const Entry = z.object({
  id: z.string(),
  label: z.string(),
  kind: z.enum(KINDS),
  family: z.enum(['whole-number', 'density-class', 'windowed']),
  width: z.number(),
  height: z.number(),
  density: z.number(),
  pixelWidth: z.number(),
  pixelHeight: z.number(),
  renderWidth: z.number(),
  renderHeight: z.number(),
  ppi: z.number().nullable(),
  cornerRadius: z.number(),
  insets: z.object({
    'portrait-primary': Edges,
    'landscape-primary': Edges,
    'landscape-secondary': Edges,
  }),
  systemBars: z.object({
    statusBar: z.object({ heightPortrait: z.number(), heightLandscape: z.number() }),
    gestureBar: z.number().nullable(),
    buttonNavBar: z.number().nullable(),
  }),
  cutouts: z.array(Cutout),
  supportsRotation: z.boolean(),
  confidence: z.enum(['high', 'medium', 'low']),
  approximateFields: z.array(z.string()),
  share: z.number(),
});

/**
 * The catalogue as screens. Its inset keys are the names that a portrait-natural screen has at rotation 0, 90
 * and 270, whatever the natural orientation of the class is. A window on a desktop takes its files by density
 * class, the only one of the two policies that knows densities other than 1, 2 and 3.
 *
 * @throws ZodError naming entry and field when the data is not of that shape
 */
export function readCatalogue(json: unknown): Screen[] {
  return z
    .array(Entry)
    .parse(json)
    .map((e) =>
      Screen.parse({
        id: e.id,
        label: e.label,
        kind: e.kind,
        family: e.family === 'windowed' ? 'density-class' : e.family,
        width: e.width,
        height: e.height,
        framebufferPx: { width: e.renderWidth, height: e.renderHeight },
        panelPx: { width: e.pixelWidth, height: e.pixelHeight },
        density: e.density,
        ppi: e.ppi ?? undefined,
        cornerRadius: e.cornerRadius,
        insets: {
          0: e.insets['portrait-primary'],
          90: e.insets['landscape-primary'],
          270: e.insets['landscape-secondary'],
        },
        bars: {
          status: {
            portrait: e.systemBars.statusBar.heightPortrait,
            landscape: e.systemBars.statusBar.heightLandscape,
          },
          gesture: e.systemBars.gestureBar,
          buttons: e.systemBars.buttonNavBar,
        },
        cutouts: e.cutouts,
        rotates: e.supportsRotation,
        weight: e.share,
        origin: 'catalogue',
        confidence: e.confidence,
        approximate: e.approximateFields,
      }),
    );
}
