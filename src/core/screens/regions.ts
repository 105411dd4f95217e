import { fromSize, inset, mapSides, type PerSide, type Rect, type Side } from '../geometry/rect';
import { resolveLength, type NamedValue } from '../values/values';
import type { Bars, Margin } from './bar-rules';
import { cutoutDepths, isPortrait, turnSide, type Turned } from './turn';

/** What edges are measured from on one case, absolute on the screen, logical units. */
export interface Regions {
  screen: Rect;
  safe: Rect;
  content: Rect;
  margins: Rect;
}

/** On a narrow screen the button bar turns with the device; from this smallest width on it stays at the bottom. */
const BUTTONS_STAY_FROM = 600;

interface Depth {
  side: Side;
  depth: number;
}

const statusHeight = ({ screen, orientation }: Turned) =>
  isPortrait(orientation) ? screen.bars.status.portrait : screen.bars.status.landscape;

/** The bar for moving between apps as the scene asks for it, or the one that the screen has instead. */
function navigation(turned: Turned, wanted: 'gesture' | 'buttons'): Depth | null {
  const { gesture, buttons } = turned.screen.bars;
  if (gesture !== null && (wanted === 'gesture' || buttons === null))
    return { side: 'bottom', depth: gesture };
  if (buttons === null) return null;
  const narrow = Math.min(turned.size.width, turned.size.height) < BUTTONS_STAY_FROM;
  return { side: narrow ? turnSide('bottom', turned.rotation) : 'bottom', depth: buttons };
}

/**
 * Insets of the safe area with the scene's bars. A hidden bar leaves the depth of the cutout on its side, else
 * 0; a whole-number screen with a cutout keeps its insets. A shown button bar takes at least its own height.
 * A bar that the screen does not have changes nothing.
 */
export function safeInsets(turned: Turned, bars: Bars): PerSide {
  const { screen, rotation } = turned;
  const insets = { ...turned.insets };
  const keeps = screen.family === 'whole-number' && screen.cutouts.length > 0;
  const depths = cutoutDepths(screen, rotation);
  const hide = (side: Side) => {
    if (!keeps) insets[side] = depths[side];
  };
  if (!bars.status.shown && statusHeight(turned) > 0) hide('top');
  const usual = navigation(turned, 'gesture');
  const asked = navigation(turned, bars.navigation.style);
  if (!bars.navigation.shown) {
    if (usual) hide(usual.side);
  } else if (asked && asked.depth !== usual?.depth) {
    if (usual && usual.side !== asked.side) hide(usual.side);
    insets[asked.side] = Math.max(insets[asked.side], asked.depth);
  }
  return insets;
}

export interface ShownBar {
  kind: 'status' | 'title' | 'navigation';
  side: Side;
  /** lu */
  depth: number;
}

/** The bars that a scene shows on a screen, from the edge inwards. */
export function shownBars(turned: Turned, bars: Bars): ShownBar[] {
  const list: ShownBar[] = [];
  if (bars.status.shown) list.push({ kind: 'status', side: 'top', depth: statusHeight(turned) });
  if (bars.title.shown) list.push({ kind: 'title', side: 'top', depth: bars.title.height });
  const nav = bars.navigation.shown ? navigation(turned, bars.navigation.style) : null;
  if (nav) list.push({ kind: 'navigation', ...nav });
  return list.filter((b) => b.depth > 0);
}

/** Depth of the visible bars of the system and of the app's title bar on each side. */
export function visibleBars(turned: Turned, bars: Bars): PerSide {
  const depths: PerSide = { left: 0, right: 0, top: 0, bottom: 0 };
  for (const { side, depth } of shownBars(turned, bars)) depths[side] += depth;
  return depths;
}

/** The regions of one case. A margin in % is of the safe area's extent on the margin's own axis. */
export function regionsOf(
  turned: Turned,
  bars: Bars,
  margin: Margin,
  named: readonly NamedValue[] = [],
): Regions {
  const screen = fromSize(turned.size);
  const safe = inset(screen, safeInsets(turned, bars));
  const across = (side: Side) => (side === 'left' || side === 'right' ? safe.width : safe.height);
  const margins = mapSides((s) => resolveLength(margin[s], across(s), turned.screen.density, named));
  return {
    screen,
    safe,
    content: inset(screen, visibleBars(turned, bars)),
    margins: inset(safe, margins),
  };
}
