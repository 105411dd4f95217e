import type { LayerState } from '../project/proof';
import type { Rect } from '../geometry/rect';
import { edgesAt, type Edges } from './edges';
import { aroundAsWithout, drawnAlike, isThere, seenAlike, supportOf, type Support } from './presence';
import { findRecoloured } from './recoloured';
import { findRescaled } from './rescaled';
import { refined, searchAround } from './search';
import { apart, footprintOf, ringOf, thinned, type Footprint, type Point, type Shown } from './shown';

/** Where a layer lies in a screenshot beside where it is drawn, px; positive to the right and down. */
export interface Displaced extends Point {
  /** of its middle, as x and y are */
  edges: Edges;
  /** its size beside the one that it is drawn in; 1 for one that its edges alone tell */
  scale: number;
  /** whether it has other colours than it is drawn in */
  recoloured: boolean;
}

/** What became of the search for a layer, with where it was found. */
export type Located = { state: 'found'; at: Displaced } | { state: Exclude<LayerState, 'found'> };

/** Px of a layer that have to be seen of it. */
const LEAST = 24;
/** Under this share of it that is looked at, a layer is left out. */
const LEAST_LOOKED = 0.2;
/** Px around a layer that have to be as they are without it. */
const RING = 9;
/** Levels by which the median of a layer differs where its colours do. */
const OTHER_COLOUR = 10;
/** How well a layer has to be explained so that it is not looked for in other sizes as well. */
const WELL = 0.75;
/** Px of it that are looked at where every place is tried. */
const FEW = 900;

/** Share of what a layer draws that has to be drawn alike where its ends are not seen. */
const ALIKE = 0.25;
/** Px about a place that was found within which it is looked for once more. */
const NEARBY = 2;
const MOST_STEPS = 6;

const NO_EDGES: Edges = { left: null, right: null, top: null, bottom: null };

/** Px by which two edges of a layer lie apart at least where one of them is hidden by something, or it is of another size. */
const EDGES_APART = 0.5;

type Pair = readonly [number | null, number | null];

/**
 * Where a layer lies along an axis, and those of its two edges that are its own: they are sharper than what lies between them, but
 * one that is hidden by something else is the edge of that.
 */
function alongAxis(cost: (at: number) => number, near: number, pair: Pair): { at: number; edges: Pair } {
  const [one, two] = pair;
  if (one === null || two === null) return { at: refined(cost, near), edges: pair };
  const middle = (one + two) / 2;
  if (Math.abs(one - two) <= EDGES_APART) return { at: middle, edges: pair };
  const at = refined(cost, near);
  if (cost(at) >= cost(Math.round(middle * 4) / 4)) return { at: middle, edges: pair };
  const own = (edge: number) => (Math.abs(edge - at) <= EDGES_APART ? edge : null);
  return { at, edges: [own(one), own(two)] };
}

/** By how many levels what is explained of a layer is off, in the median of the most different channel. */
function colourOff({ whole, shot, ignored }: Shown, px: readonly number[], by: Point): number {
  const { width, height } = whole;
  const offs: number[][] = [[], [], []];
  for (const i of px) {
    const [x, y] = [(i % width) + Math.round(by.x), Math.floor(i / width) + Math.round(by.y)];
    const j = y * width + x;
    if (x < 0 || y < 0 || x >= width || y >= height || ignored[j] || apart(whole, i, shot, j) > 60) continue;
    for (let c = 0; c < 3; c++) offs[c]!.push(shot.data[j * 4 + c]! - whole.data[i * 4 + c]!);
  }
  return Math.max(...offs.map((list) => Math.abs(list.toSorted((a, b) => a - b)[list.length >> 1] ?? 0)));
}

/** Whether near a layer anything is seen that its absence does not explain. */
function isSomethingNear(
  { without, shot, ignored }: Shown,
  { box, count }: Footprint,
  reach: number,
): boolean {
  const { width, height } = without;
  let unexplained = 0;
  for (let y = Math.max(0, box.y - reach); y < Math.min(height, box.y + box.height + reach); y++)
    for (let x = Math.max(0, box.x - reach); x < Math.min(width, box.x + box.width + reach); x++) {
      const j = y * width + x;
      if (!ignored[j] && apart(without, j, shot, j) > OTHER_COLOUR) unexplained++;
    }
  return unexplained > count * 0.15;
}

/** Whether a layer reaches from one edge of the screen to the other, both ways: its size is not seen then. */
const isOverScreen = ({ whole }: Shown, { box }: Footprint): boolean =>
  box.width >= whole.width - 1 && box.height >= whole.height - 1;

/** Each edge of something that is scaled about its middle and shifted. */
function scaledEdges({ width, height }: Rect, by: Point, scale: number): Edges {
  const grown = { x: ((scale - 1) * width) / 2, y: ((scale - 1) * height) / 2 };
  return { left: by.x - grown.x, right: by.x + grown.x, top: by.y - grown.y, bottom: by.y + grown.y };
}

/** The best place that is reached from one by steps of a few px. */
function walkedTo(cost: (by: Point) => number, from: Point): Point {
  for (let step = 0; step < MOST_STEPS; step++) {
    const to = searchAround(cost, from, NEARBY, 1);
    if (to.x === from.x && to.y === from.y) break;
    from = to;
  }
  return from;
}

function foundAt(shown: Shown, footprint: Footprint, about: Point): Displaced {
  const cost = (by: Point) => supportOf(shown, footprint, { by, scale: 1 }).fineCost;
  const near = walkedTo(cost, about);
  const edges = edgesAt(shown, footprint, near);
  const x = alongAxis((at) => cost({ x: at, y: near.y }), near.x, [edges.left, edges.right]);
  const y = alongAxis((at) => cost({ x: near.x, y: at }), near.y, [edges.top, edges.bottom]);
  const own = { left: x.edges[0], right: x.edges[1], top: y.edges[0], bottom: y.edges[1] };
  const recoloured = colourOff(shown, footprint.px, near) > OTHER_COLOUR;
  return { x: x.at, y: y.at, edges: own, scale: 1, recoloured };
}

const strengthOf = ({ says, explained }: Support) => says * explained;

/** In other colours, where its outline is. */
function foundRecoloured(
  shown: Shown,
  footprint: Footprint,
  ring: readonly number[],
  reach: number,
): Displaced | null {
  const found = findRecoloured(shown, footprint, ring, reach);
  return found && { ...found, edges: NO_EDGES, scale: 1, recoloured: true };
}

/** In another size, or in other colours. */
function foundOtherwise(
  shown: Shown,
  footprint: Footprint,
  ring: readonly number[],
  reach: number,
  atLeast: number,
): Displaced | null {
  const rescaled = isOverScreen(shown, footprint) ? null : findRescaled(shown, footprint, ring, reach);
  if (rescaled && strengthOf(rescaled.support) > atLeast) {
    const { by, scale } = rescaled.pose;
    return { ...by, edges: scaledEdges(footprint.box, by, scale), scale, recoloured: false };
  }
  return atLeast > 0 ? null : foundRecoloured(shown, footprint, ring, reach);
}

/** Why a layer is not looked for; `null` where it is. */
function silentState({ count, looked }: Footprint): 'unseen' | 'left-out' | null {
  if (count < LEAST) return 'unseen';
  return looked < LEAST || looked < count * LEAST_LOOKED ? 'left-out' : null;
}

/** What fills the screen in other colours cannot be told from another screen. */
const isOtherScreen = (shown: Shown, { px }: Footprint, near: Point): boolean =>
  colourOff(shown, px, near) > OTHER_COLOUR || drawnAlike(shown, px, near) < ALIKE;

/** How a layer is looked for: px around it, and how far, px. */
interface Search {
  ring: readonly number[];
  reach: number;
}

/** Where so much of a layer is seen in its own colours that it is there, though something else of about its colours lies nearby. */
function alikeAbout(shown: Shown, footprint: Footprint, { ring, reach }: Search): Point | null {
  const few = { ...footprint, px: thinned(footprint.px, FEW) };
  const best = searchAround((by) => -seenAlike(shown, few, by), { x: 0, y: 0 }, reach, 1);
  const around = aroundAsWithout(shown, ring, { by: best, scale: 1 }, footprint.middle);
  const isSeen = isThere(supportOf(shown, footprint, { by: best, scale: 1 }), around);
  return isSeen && colourOff(shown, footprint.px, best) <= OTHER_COLOUR ? best : null;
}

/** Where a layer is that is there about a place. */
function locatedAbout(shown: Shown, footprint: Footprint, near: Point, search: Search): Located {
  const { ring, reach } = search;
  let about: Point | null = near;
  // In other colours any part of one colour fits into any other, so that it is its outline that says where it is.
  if (ring.length > 0 && colourOff(shown, footprint.px, near) > OTHER_COLOUR) {
    const tinted = foundRecoloured(shown, footprint, ring, reach);
    if (tinted) return { state: 'found', at: tinted };
    about = alikeAbout(shown, footprint, search);
    if (!about) return { state: 'not-found' };
  }
  if (Math.max(Math.abs(about.x), Math.abs(about.y)) >= reach) return { state: 'out-of-reach' };
  return { state: 'found', at: foundAt(shown, footprint, about) };
}

/**
 * Asks of a layer first whether it is in a screenshot, and only then where: it is where the case drawn with it explains clearly more
 * than the case without it.
 * @param reach how far it is searched, px
 * @returns where it lies to a quarter of a px
 * @throws RangeError for rasters of several sizes
 */
export function locate(shown: Shown, reach: number): Located {
  const footprint = footprintOf(shown);
  const silent = silentState(footprint);
  if (silent) return { state: silent };
  const { middle } = footprint;
  const support = (by: Point) => supportOf(shown, footprint, { by, scale: 1 });
  const cost = (by: Point) => support(by).cost;
  const near = searchAround(cost, searchAround(cost, { x: 0, y: 0 }, reach, 4), 4, 1);
  const ring = isOverScreen(shown, footprint) ? [] : ringOf(footprint, shown.whole, RING);
  const found = support(near);
  const around = aroundAsWithout(shown, ring, { by: near, scale: 1 }, middle);
  const isOther = around === null && isOtherScreen(shown, footprint, near);
  const isHere = !isOther && isThere(found, around);
  // What explains all that it can explain is not of another size, however much of it is covered.
  if ((!isHere || found.says < WELL) && isSomethingNear(shown, footprint, reach)) {
    const other = foundOtherwise(shown, footprint, ring, reach, isHere ? strengthOf(found) + 0.1 : 0);
    if (other) return { state: 'found', at: other };
  }
  return isHere ? locatedAbout(shown, footprint, near, { ring, reach }) : { state: 'not-found' };
}
