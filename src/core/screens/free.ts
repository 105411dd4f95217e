import type { Appearance } from '../values/values';
import { caseId, type Case } from './cases';
import type { Screen } from './screen';

export const FREE_WINDOW = 'free-window';

/**
 * A window of any size, without bars, cutouts and corners.
 * @param size lu; taken to whole px
 * @param base whose density, and choice of files by it, it has
 */
export function freeWindow(
  size: { width: number; height: number },
  base: Screen,
  appearance: Appearance,
): Case {
  const { density, family } = base;
  const px = (lu: number) => Math.max(1, Math.round(lu * density));
  const framebufferPx = { width: px(size.width), height: px(size.height) };
  const none = { top: 0, right: 0, bottom: 0, left: 0 };
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
    cornerRadius: 0,
    insets: { 0: none, 90: none, 180: none, 270: none },
    bars: { status: { portrait: 0, landscape: 0 }, gesture: null, buttons: null },
    cutouts: [],
    rotates: false,
    weight: 0,
    origin: 'custom',
    confidence: 'high',
    approximate: [],
  };
  return { id: caseId(FREE_WINDOW, 0, appearance), screen, rotation: 0, appearance };
}
