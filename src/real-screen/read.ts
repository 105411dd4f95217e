import { Reading } from '@/core/screens/measured';
import type { Rotation } from '@/core/screens/screen';

const QUARTERS = [0, 90, 180, 270] as const satisfies Rotation[];

/**
 * How far the screen is turned from its natural position. Source: W3C Screen Orientation, the angle of the current
 * orientation, which counts the same way as our rotations.
 */
function rotation(): Rotation {
  // Older browsers have it at the window. Source: WHATWG Compatibility Standard, window.orientation.
  const older = (window as { orientation?: number }).orientation;
  const angle = (window.screen.orientation as ScreenOrientation | undefined)?.angle ?? older ?? 0;
  return QUARTERS.find((q) => q === ((angle % 360) + 360) % 360) ?? 0;
}

/** The screen as it is held. Some browsers say its natural size whatever way it is held. */
function screenSize(width: number, height: number): { width: number; height: number } {
  const { width: a, height: b } = window.screen;
  const isUpended = a > b !== width > height && Math.max(a, b) >= Math.max(width, height);
  return isUpended ? { width: b, height: a } : { width: a, height: b };
}

const lengthOf = (value: string) => Math.max(0, Math.round(Number.parseFloat(value) * 1000) / 1000 || 0);

/** Insets of the safe area. Source: CSS Environment Variables, as paddings of an element that has them. */
function insets(area: Element) {
  const { paddingTop, paddingRight, paddingBottom, paddingLeft } = getComputedStyle(area);
  return {
    top: lengthOf(paddingTop),
    right: lengthOf(paddingRight),
    bottom: lengthOf(paddingBottom),
    left: lengthOf(paddingLeft),
  };
}

interface Px {
  width: number;
  height: number;
}

/** Px that were counted, unless they are those of another way of counting: the window in lu is whole numbers. */
function counted({ width, height }: Px, density: number, px: Px | null): Px {
  const isOfIt =
    px !== null &&
    Math.abs(px.width - width * density) <= density &&
    Math.abs(px.height - height * density) <= density;
  return isOfIt ? px : { width: Math.round(width * density), height: Math.round(height * density) };
}

/**
 * What a page can read off the screen that it is on.
 * @param area has the insets as its paddings @param px of the window, where the browser counts them
 * @returns `null` while the browser does not know yet, as it turns
 */
export function readScreen(area: Element, px: Px | null): Reading | null {
  const density = window.devicePixelRatio;
  const size = { width: window.innerWidth, height: window.innerHeight };
  return (
    Reading.safeParse({
      rotation: rotation(),
      screen: screenSize(size.width, size.height),
      window: size,
      windowPx: counted(size, density, px),
      density,
      insets: insets(area),
    }).data ?? null
  );
}

/** How long after a change it is looked at once more: some browsers know insets only once they have turned. */
const SETTLED_MS = [150, 600];

/**
 * Hears whenever what is read may have changed: the window, or the insets, that are the paddings of `area`.
 * @param hear is told the window in device px, where the browser counts them
 */
export function onWindow(whole: Element, area: Element, hear: (px: Px | null) => void): void {
  let px: Px | null = null;
  let timers: number[] = [];
  const changed = () => {
    timers.forEach((t) => window.clearTimeout(t));
    hear(px);
    timers = SETTLED_MS.map((ms) => window.setTimeout(() => hear(px), ms));
  };
  const observer = new ResizeObserver(([entry]) => {
    const [box] = entry?.devicePixelContentBoxSize ?? [];
    px = box ? { width: box.inlineSize, height: box.blockSize } : null;
    changed();
  });
  try {
    observer.observe(whole, { box: 'device-pixel-content-box' });
  } catch {
    // Not every browser counts device px.
    observer.observe(whole);
  }
  new ResizeObserver(changed).observe(area, { box: 'border-box' });
  window.addEventListener('resize', changed);
  window.addEventListener('orientationchange', changed);
}
