import type { PerSide, Size } from '../geometry/rect';
import { impossibleBecause } from './check';
import { Screen } from './screen';

/** A screen that somebody has described: none that cannot be. */
export const OwnScreen = Screen.superRefine((screen, context) => {
  const why = impossibleBecause(screen);
  if (why) context.addIssue({ code: 'custom', message: `${screen.label}: ${why}` });
});

/** The usual screen that somebody starts from. */
const FIRST = { width: 390, height: 844, density: 3 };
const NONE: PerSide = { top: 0, right: 0, bottom: 0, left: 0 };

/** Px of a screen of which only the size in lu and the density are known. */
export const pxOf = ({ width, height }: Size, density: number) => ({
  width: Math.max(1, Math.round(width * density)),
  height: Math.max(1, Math.round(height * density)),
});

/** What is known of a screen that is not in the catalogue. */
export interface Metrics {
  id: string;
  label: string;
  /** in the natural rotation, px */
  px: Size;
  density: number;
  /** in the natural rotation, lu; none when absent */
  insets?: PerSide;
  weight: number;
  origin: Exclude<Screen['origin'], 'catalogue'>;
  kind?: Screen['kind'];
}

/** By the shorter side, lu. Source: the largest phones of the catalogue, and its smallest tablets. */
const PHONE = { compact: 375, usual: 415, largest: 600 };

/** The kind that a screen of this size most likely is. */
export function kindBySize({ width, height }: Size): Screen['kind'] {
  const short = Math.min(width, height);
  if (width > height && short >= PHONE.largest) return 'desktop-window';
  if (short >= PHONE.largest) return 'tablet';
  if (short > PHONE.usual) return 'large-phone';
  return short < PHONE.compact ? 'compact-phone' : 'phone';
}

/** The insets of a screen that is turned a quarter, if nothing moves with it: its natural top is then at the left, or at the right. */
export const turnedInsets = (natural: PerSide, rotation: 90 | 270): PerSide =>
  rotation === 90
    ? { left: natural.top, top: natural.right, right: natural.bottom, bottom: natural.left }
    : { right: natural.top, bottom: natural.right, left: natural.bottom, top: natural.left };

/** A screen of what is known; whatever else there is to know is as simple as it can be, and called approximate. */
export function screenOf({ id, label, px, density, insets, weight, origin, kind }: Metrics): Screen {
  const size = { width: px.width / density, height: px.height / density };
  const natural = insets ?? NONE;
  return {
    id,
    label,
    kind: kind ?? kindBySize(size),
    family: Number.isInteger(density) ? 'whole-number' : 'density-class',
    width: Math.round(size.width),
    height: Math.round(size.height),
    framebufferPx: px,
    panelPx: px,
    density,
    cornerRadius: 0,
    insets: { 0: natural, 90: turnedInsets(natural, 90), 270: turnedInsets(natural, 270) },
    bars: { status: { portrait: natural.top, landscape: 0 }, gesture: null, buttons: null },
    cutouts: [],
    rotates: true,
    weight,
    origin,
    confidence: insets ? 'medium' : 'low',
    approximate: insets ? [] : ['insets'],
  };
}

export const firstOwn = (id: string): Screen => ({
  ...screenOf({
    id,
    label: 'Own screen',
    px: pxOf(FIRST, FIRST.density),
    density: FIRST.density,
    weight: 1,
    origin: 'custom',
    insets: NONE,
  }),
  confidence: 'high',
});

/** A screen to be changed, under an id of its own. */
export const ownCopy = (screen: Screen, id: string): Screen => ({
  ...(JSON.parse(JSON.stringify(screen)) as Screen),
  id,
  label: `${screen.label}, own`.slice(0, 200),
  origin: 'custom',
});

/** A screen of another size in px; what it is called in lu follows. */
export const withPx = (screen: Screen, px: Size): Screen => ({
  ...screen,
  framebufferPx: px,
  panelPx: px,
  width: Math.max(1, Math.round(px.width / screen.density)),
  height: Math.max(1, Math.round(px.height / screen.density)),
});

/** Another density: the size in lu stays, the px follow. */
export function withDensity(screen: Screen, density: number): Screen {
  const lu = {
    width: screen.framebufferPx.width / screen.density,
    height: screen.framebufferPx.height / screen.density,
  };
  return withPx({ ...screen, density }, pxOf(lu, density));
}
