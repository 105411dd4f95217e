import { z } from 'zod';
import type { PerSide } from '../geometry/rect';
import { BARE } from './free';
import { pxOf } from './own';
import type { Screen } from './screen';
import { documentObject } from '../values/object';

/** Sizes of text, as shares of the usual one, that systems let people choose; and how far they let them zoom. */
export const TEXT_SIZES = [0.85, 1.15, 1.3, 1.5, 2] as const;
export const ZOOMS = [1.15, 1.3] as const;
/** Of a range, so that all of them can still be looked at. */
export const MOST_WINDOWS = 400;

const Span = z
  .strictObject({ low: z.number().min(50), high: z.number().max(10_000) })
  .refine(({ low, high }) => low <= high, 'The least size has to be no larger than the greatest.');

interface Steps {
  width: { low: number; high: number };
  height: { low: number; high: number };
  step: number;
}

/** How many windows a range makes. */
export const countWindows = ({ width, height, step }: Steps): number =>
  stepsIn(width, step).length * stepsIn(height, step).length;

/** Windows from one size to another in even steps, lu. */
export const WindowRange = z
  .strictObject({
    width: Span,
    height: Span,
    step: z.number().min(1).max(2000),
    density: z.number().min(0.5).max(8),
  })
  .refine(
    (range) => countWindows(range) <= MOST_WINDOWS,
    `Steps as fine as these make more than ${MOST_WINDOWS} windows. Take wider ones.`,
  );
export type WindowRange = z.infer<typeof WindowRange>;

/** What screens are looked at in besides: nothing of it unless somebody asks. */
export const Axes = documentObject({
  /** upright screens upside down as well */
  upsideDown: z.boolean().optional(),
  /** of texts, as shares of the usual size */
  textSizes: z.array(z.number().min(0.85).max(2)).max(6).optional(),
  /** of the whole display, as shares of its usual density */
  zooms: z.array(z.number().min(0.8).max(1.5)).max(4).optional(),
  windows: WindowRange.optional(),
});
export type Axes = z.infer<typeof Axes>;

const stepsIn = ({ low, high }: { low: number; high: number }, step: number): number[] =>
  Array.from({ length: Math.floor((high - low) / step + 1e-9) + 1 }, (_, i) => low + i * step);

const whole = (share: number) => String(Math.round(share * 100));

const divided = ({ top, right, bottom, left }: PerSide, by: number): PerSide => ({
  top: top / by,
  right: right / by,
  bottom: bottom / by,
  left: left / by,
});

/** A screen whose owner has zoomed the display: as many px, fewer lu; what is built into the glass stays where it is. */
function zoomed(screen: Screen, zoom: number): Screen {
  const { insets, cutouts, density, framebufferPx } = screen;
  const lu = (px: number) => Math.max(1, Math.round(px / density / zoom));
  return {
    ...screen,
    id: `${screen.id}~z${whole(zoom)}`,
    label: `${screen.label}, zoomed to ${whole(zoom)} %`,
    density: density * zoom,
    width: lu(framebufferPx.width),
    height: lu(framebufferPx.height),
    cornerRadius: screen.cornerRadius / zoom,
    insets: {
      0: divided(insets[0], zoom),
      90: divided(insets[90], zoom),
      270: divided(insets[270], zoom),
      ...(insets[180] && { 180: divided(insets[180], zoom) }),
    },
    cutouts: cutouts.map((c) => ({
      ...c,
      x: c.x / zoom,
      y: c.y / zoom,
      width: c.width / zoom,
      height: c.height / zoom,
      radius: c.radius / zoom,
    })),
    approximate: [...new Set([...screen.approximate, 'insets'])],
  };
}

const withText = (screen: Screen, textSize: number): Screen => ({
  ...screen,
  id: `${screen.id}~t${whole(textSize)}`,
  label: `${screen.label}, text at ${whole(textSize)} %`,
  textSize,
});

function windowsOf({ width, height, step, density }: WindowRange): Screen[] {
  return stepsIn(width, step).flatMap((w) =>
    stepsIn(height, step).map((h): Screen => {
      const px = pxOf({ width: w, height: h }, density);
      return {
        id: `window-${w}x${h}`,
        label: 'Window of the range',
        kind: 'desktop-window',
        family: 'density-class',
        width: Math.round(w),
        height: Math.round(h),
        framebufferPx: px,
        panelPx: px,
        density,
        ...BARE,
        cutouts: [],
        rotates: false,
        weight: 1,
        origin: 'custom',
        confidence: 'high',
        approximate: [],
      };
    }),
  );
}

/**
 * Screens with what they are looked at in besides. A screen in several sizes of text or zooms counts as much in all as it did
 * alone.
 */
export function withAxes(screens: readonly Screen[], axes: Axes | undefined): Screen[] {
  if (!axes) return [...screens];
  const { upsideDown, textSizes = [], zooms = [], windows } = axes;
  const held = upsideDown ? screens.map((s) => ({ ...s, turnsOver: true })) : screens;
  const all = held.flatMap((screen) => {
    const sizes = [screen, ...zooms.map((zoom) => zoomed(screen, zoom))];
    const alike = sizes.flatMap((s) => [s, ...textSizes.map((t) => withText(s, t))]);
    return alike.length === 1 ? alike : alike.map((s) => ({ ...s, weight: screen.weight / alike.length }));
  });
  return windows ? [...all, ...windowsOf(windows)] : all;
}

/** Whether an id is that of a screen, or of the same in another size of text or zoom. */
export const isScreenOrItsLike = (id: string, screenId: string): boolean =>
  id === screenId || id.startsWith(`${screenId}~`);
