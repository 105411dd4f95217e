import { isRepeated } from '../fit/tiles';
import { moveBetween, partOf, type Rect } from '../geometry/rect';
import { areaInRound } from '../measure/glass';
import { ciede2000, labOf } from '../pixels/colour';
import type { FilePixels } from '../pixels/file';
import { colourAt, countOf, type Colours, type Rgba } from '../pixels/raster';
import { sumOfAll, sumsOnGrid } from '../pixels/sums';
import { backdropOf } from '../survey/backdrop';
import type { CaseResult, PictureResult } from '../survey/result';
import { commonPart, showAlike } from './content';

/** A picture, or two of one content, that two stages show at different places or in different sizes. */
export interface Jump {
  /** of the later stage */
  pictureId: string;
  name: string;
  /** of the earlier stage, where that shows the same content as another picture */
  wasName: string | null;
  /** layers of the earlier and of the later stage */
  layers: { before: string; after: string };
  from: Rect;
  to: Rect;
  /** of its middle, lu; right and down are positive */
  shift: { x: number; y: number };
  /** by which it grows across */
  scale: number;
  /** the furthest that a corner of it goes, lu */
  furthest: number;
}

/** From one stage to the next on one case. */
export interface Handover {
  /** mean difference of colour over the grid, CIEDE2000; `null` while the pixels are not known */
  flash: number | null;
  /** mean colours of both frames, and how much of the earlier one is its bare ground, 0..1 */
  colours: { before: Rgba; after: Rgba; groundShare: number } | null;
  jumps: Jump[];
  /** names of pictures that come, and that go */
  appears: string[];
  vanishes: string[];
}

type Pixels = ReadonlyMap<string, FilePixels>;

/** Sixteen parts along the longer side, eight along the shorter one. */
const gridFor = ({ width, height }: Rect) =>
  height >= width ? { columns: 8, rows: 16 } : { columns: 16, rows: 8 };

const tilesOf = ({ regions: { screen }, layers, appearance }: CaseResult, pixels: Pixels) =>
  backdropOf(screen, layers, pixels, appearance, gridFor(screen));

function meanOf(tiles: Colours): Rgba {
  const mean = (channel: number) =>
    tiles.reduce((sum, value, k) => (k % 3 === channel ? sum + value : sum), 0) / countOf(tiles);
  return { r: mean(0), g: mean(1), b: mean(2), a: 1 };
}

/** Coded values that nobody tells apart, in the most different channel. */
const ALIKE = 3;
const areAlike = (a: Rgba, b: Rgba) =>
  Math.max(Math.abs(a.r - b.r), Math.abs(a.g - b.g), Math.abs(a.b - b.b)) <= ALIKE;

/** Which tiles of a frame are nothing but its ground. */
function bareTiles(result: CaseResult, tiles: Colours, pixels: Pixels): boolean[] {
  const grounds = result.layers.filter((l) => l.kind === 'ground');
  const bare = tilesOf({ ...result, layers: grounds }, pixels);
  return Array.from({ length: countOf(tiles) }, (_, i) => areAlike(colourAt(tiles, i), colourAt(bare, i)));
}

/** A fade of at least so long is seen as one motion. */
const SEEN_FADE_MS = 200;

const picturesOf = ({ layers }: CaseResult): PictureResult[] =>
  layers.filter(
    (l): l is PictureResult =>
      l.kind === 'picture' && !isRepeated(l.placement) && l.placement.visible !== null,
  );

function jumpOf(before: PictureResult, after: PictureResult, pixels: Pixels | null): Jump {
  const { from, to } = commonPart(before, after, pixels);
  return {
    pictureId: after.pictureId,
    name: after.name,
    wasName: before.pictureId === after.pictureId ? null : before.name,
    layers: { before: before.id, after: after.id },
    from,
    to,
    scale: from.width > 0 ? to.width / from.width : 1,
    ...moveBetween(from, to),
  };
}

/** Of the pictures that may have become another one, the one from which the way is shortest. */
function nearestJump(
  after: PictureResult,
  before: readonly PictureResult[],
  pixels: Pixels | null,
): Jump | null {
  const same = before.filter((b) => b.pictureId === after.pictureId);
  const alike = same.length > 0 || !pixels ? same : before.filter((b) => showAlike(b, after, pixels));
  const jumps = alike.map((b) => jumpOf(b, after, pixels));
  return jumps.toSorted((a, b) => a.furthest - b.furthest)[0] ?? null;
}

/**
 * What changes from the last frame of one stage to the first whole frame of the next, on one case. Where pictures turn
 * into others by a fade that can be seen, that is no flash; a bare ground before it still is.
 * @param fadeMs how long the later stage takes to come in
 */
export function handoverOf(
  before: CaseResult,
  after: CaseResult,
  pixels: Pixels | null,
  fadeMs: number,
): Handover {
  const [were, are] = [picturesOf(before), picturesOf(after)];
  const jumps = are.flatMap((p) => nearestJump(p, were, pixels) ?? []);
  const rest = {
    jumps,
    appears: are.filter((p) => !jumps.some((j) => j.layers.after === p.id)).map((p) => p.name),
    // One of several copies that all became one does not vanish either.
    vanishes: were.filter((p) => nearestJump(p, are, pixels) === null).map((p) => p.name),
  };
  if (!pixels) return { flash: null, colours: null, ...rest };
  const [a, b] = [tilesOf(before, pixels), tilesOf(after, pixels)];
  const bare = bareTiles(before, a, pixels);
  const counts = (i: number) => fadeMs < SEEN_FADE_MS || bare[i]!;
  const differences = bare.map((_, i) => (counts(i) ? difference(colourAt(a, i), colourAt(b, i)) : 0));
  const flash = differences.reduce((sum, d) => sum + d, 0) / bare.length;
  const groundShare = bare.filter(Boolean).length / bare.length;
  return { flash, colours: { before: meanOf(a), after: meanOf(b), groundShare }, ...rest };
}

const difference = (a: Rgba, b: Rgba) => ciede2000(labOf(a), labOf(b));

/**
 * How much of the ink of a picture lies outside a circle, 0..1: of one with see-through parts by its alpha, row by
 * row of its preview; of an opaque one by the rectangle of what differs from its border.
 */
export function outsideCircle(
  drawn: Rect,
  file: FilePixels,
  circle: { x: number; y: number; radius: number },
): number {
  const { sums, border, ink } = file;
  if (!ink) return 0;
  if (border) {
    const rect = partOf(drawn, ink.bounds);
    const { x, y, radius } = circle;
    const round = { rect: { x: x - radius, y: y - radius, width: 2 * radius, height: 2 * radius }, radius };
    return 1 - areaInRound(rect, round) / (rect.width * rect.height);
  }
  const across = sums.width / drawn.width;
  const down = sums.height / drawn.height;
  let inside = 0;
  for (let row = 0; row < sums.height; row++) {
    const far = Math.abs((row + 0.5) / down + drawn.y - circle.y);
    if (far >= circle.radius) continue;
    const half = Math.sqrt(circle.radius ** 2 - far ** 2);
    const at = (x: number) => Math.min(sums.width, Math.max(0, (x - drawn.x) * across));
    inside += sumsOnGrid(sums, [at(circle.x - half), at(circle.x + half)], [row, row + 1]).alpha[0]!;
  }
  const all = sumOfAll(sums).alpha;
  return all > 0 ? Math.max(0, 1 - inside / all) : 0;
}
