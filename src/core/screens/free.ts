import type { Appearance } from '../values/values';
import { caseId, type Case } from './cases';
import { pxOf } from './own';
import type { Screen } from './screen';

export const FREE_WINDOW = 'free-window';

/** What stands around the content of a free window: nothing, or the bars, insets and corners of a screen. */
export const AROUND = ['nothing', 'screen'] as const;
export type Around = (typeof AROUND)[number];

const NONE = { top: 0, right: 0, bottom: 0, left: 0 };
export const BARE = {
  cornerRadius: 0,
  insets: { 0: NONE, 90: NONE, 180: NONE, 270: NONE },
  bars: { status: { portrait: 0, landscape: 0 }, gesture: null, buttons: null },
} as const satisfies Partial<Screen>;

/** What stands around a screen, at any size: as it is held upright in a window that is, and turned in one that is not. */
function edgesOf({ insets, framebufferPx, cornerRadius, bars }: Screen, isWide: boolean) {
  const isTurned = framebufferPx.width > framebufferPx.height !== isWide;
  const own = insets[isTurned ? 90 : 0];
  return { cornerRadius, bars, insets: { 0: own, 90: own, 180: own, 270: own } };
}

/**
 * A window of any size, without cutouts.
 * @param size lu; taken to whole px
 * @param base whose density, and choice of files by it, it has
 */
export function freeWindow(
  size: { width: number; height: number },
  base: Screen,
  appearance: Appearance,
  around: Around = 'nothing',
): Case {
  const { density, family } = base;
  const framebufferPx = pxOf(size, density);
  const screen: Screen = {
    id: FREE_WINDOW,
    label: 'Free window',
    kind: 'desktop-window',
    family,
    width: Math.round(framebufferPx.width / density),
    height: Math.round(framebufferPx.height / density),
    framebufferPx,
    panelPx: framebufferPx,
    density,
    ...(around === 'screen' ? edgesOf(base, framebufferPx.width > framebufferPx.height) : BARE),
    cutouts: [],
    rotates: false,
    weight: 0,
    origin: 'custom',
    confidence: 'high',
    approximate: [],
  };
  return { id: caseId(FREE_WINDOW, 0, appearance), screen, rotation: 0, appearance };
}
