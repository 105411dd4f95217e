import type { Rect, Side } from '../geometry/rect';
import { refined } from './search';
import { apart, apartMoved, MOST_APART, placeIn, type Footprint, type Point, type Shown } from './shown';

/** How far each edge lies from where it is drawn, px; `null` for one that is at the edge of the screen, or cannot be made out. */
export type Edges = Record<Side, number | null>;

// Taken out of its global once: it is called for each px of each place.
const { min } = Math;

/** Px to both sides of an edge that are looked at, and how far it is searched. */
const BAND = 14;
const EDGE_REACH = 8;

/** The band along an edge: what is near it, inside and outside of the layer. */
function bandOf(side: Side, { x, y, width, height }: Rect): Rect {
  const isAcross = side === 'left' || side === 'right';
  const inner = Math.max(2, Math.min(BAND, Math.floor((isAcross ? width : height) / 3)));
  const outer = EDGE_REACH + 2;
  const isStart = side === 'left' || side === 'top';
  if (isAcross) return { x: isStart ? x - outer : x + width - inner, y, width: inner + outer, height };
  return { x, y: isStart ? y - outer : y + height - inner, width, height: inner + outer };
}

/** How well a band of a screenshot is explained with the layer shifted: the mean over its px; Infinity where half of it is not looked at. */
function bandCost(shown: Shown, { is, through }: Footprint, band: Rect, by: Point): number {
  const { whole, without, shot, ignored } = shown;
  const { width, height } = whole;
  let [cost, looked] = [0, 0];
  for (let y = band.y; y < band.y + band.height; y++)
    for (let x = band.x; x < band.x + band.width; x++) {
      if (x < 0 || y < 0 || x >= width || y >= height) continue;
      const at = placeIn(shot, x + by.x, y + by.y);
      if (!at || ignored[at.j] || ignored[at.k]) continue;
      const i = y * width + x;
      looked++;
      const off = is[i] ? apartMoved(shown, i, at, through) : apart(without, at.j, shot, at.j, at.next, at.k);
      cost += min(off, MOST_APART);
    }
  return looked * 2 < band.width * band.height ? Infinity : cost / looked;
}

/** Where one edge lies; `null` where it is that of the screen, is not looked at, or lies no nearer than is searched. */
function edgeAt(shown: Shown, footprint: Footprint, side: Side, off: Point): number | null {
  const { box } = footprint;
  const { width, height } = shown.whole;
  const isAtScreen: Record<Side, boolean> = {
    left: box.x <= 0,
    top: box.y <= 0,
    right: box.x + box.width >= width,
    bottom: box.y + box.height >= height,
  };
  if (isAtScreen[side]) return null;
  const band = bandOf(side, box);
  const isAcross = side === 'left' || side === 'right';
  const cost = (n: number) =>
    bandCost(shown, footprint, band, isAcross ? { x: n, y: off.y } : { x: off.x, y: n });
  const middle = isAcross ? off.x : off.y;
  let best = { at: middle, cost: cost(middle) };
  for (let n = middle - EDGE_REACH; n <= middle + EDGE_REACH; n++) {
    const found = cost(n);
    if (found < best.cost - 1e-9) best = { at: n, cost: found };
  }
  if (best.cost === Infinity || Math.abs(best.at - middle) >= EDGE_REACH) return null;
  return refined(cost, best.at);
}

/** Each edge of a layer that was found at a shift. */
export const edgesAt = (shown: Shown, footprint: Footprint, off: Point): Edges => ({
  left: edgeAt(shown, footprint, 'left', off),
  right: edgeAt(shown, footprint, 'right', off),
  top: edgeAt(shown, footprint, 'top', off),
  bottom: edgeAt(shown, footprint, 'bottom', off),
});
