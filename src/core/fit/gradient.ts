import { hexAlphaOf, rgbaOf, type Rgba } from '../pixels/raster';
import { area, bottom, right, type Rect } from '../geometry/rect';
import type { Gradient, Paint } from '../values/paint';
import { resolveColour, type Appearance, type NamedValue } from '../values/values';

interface Point {
  x: number;
  y: number;
}

export interface ColourStop {
  /** 0..1 along the gradient */
  at: number;
  /** `#rrggbb` or `#rrggbbaa` */
  colour: string;
}

/** A paint on one box and in one appearance; points and lengths are absolute on the screen, lu. */
export type PlacedPaint =
  | { kind: 'colour'; colour: string }
  | { kind: 'linear'; from: Point; to: Point; stops: ColourStop[] }
  | { kind: 'radial'; centre: Point; radius: number; stops: ColourStop[] };

/** The gradient line runs through the middle and is as long as makes the corners get the ends. Source: CSS Images 3 §3.1. */
function linear(angle: number, box: Rect): { from: Point; to: Point } {
  const turn = (angle * Math.PI) / 180;
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  const half = (Math.abs(box.width * sin) + Math.abs(box.height * cos)) / 2;
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  return {
    from: { x: middle.x - sin * half, y: middle.y + cos * half },
    to: { x: middle.x + sin * half, y: middle.y - cos * half },
  };
}

/** A circle that reaches the farthest corner. Source: CSS Images 3 §3.2. */
function radial({ x, y }: Point, box: Rect): { centre: Point; radius: number } {
  const centre = { x: box.x + (box.width * x) / 100, y: box.y + (box.height * y) / 100 };
  const dx = Math.max(Math.abs(centre.x - box.x), Math.abs(right(box) - centre.x));
  const dy = Math.max(Math.abs(centre.y - box.y), Math.abs(bottom(box) - centre.y));
  return { centre, radius: Math.hypot(dx, dy) };
}

function placeGradient(gradient: Gradient, box: Rect, colours: ColourStop[]): PlacedPaint {
  return gradient.gradient === 'linear'
    ? { kind: 'linear', ...linear(gradient.angle, box), stops: colours }
    : { kind: 'radial', ...radial(gradient.centre, box), stops: colours };
}

/**
 * What fills a box in one appearance.
 * @throws when a colour refers to a named value that the project does not hold
 */
export function placePaint(
  paint: Paint,
  box: Rect,
  appearance: Appearance,
  named: readonly NamedValue[],
): PlacedPaint {
  if (!('gradient' in paint)) return { kind: 'colour', colour: resolveColour(paint, appearance, named) };
  const stops = paint.stops.map((s) => ({
    at: s.at / 100,
    colour: resolveColour(s.colour, appearance, named),
  }));
  // A gradient over no area has no line to run along.
  if (area(box) <= 0) return { kind: 'colour', colour: stops.at(-1)!.colour };
  return placeGradient(paint, box, stops);
}

/** Two colours mixed premultiplied, so that nothing is taken of the colour of what is not seen. Source: CSS Images 3 §3.4. */
function mixed(a: Rgba, b: Rgba, share: number): Rgba {
  const alpha = a.a + (b.a - a.a) * share;
  // Between two that are not seen at all any colour will do.
  const towards = alpha > 0 ? (b.a * share) / alpha : share;
  const mix = (from: number, to: number) => from + (to - from) * towards;
  return { r: mix(a.r, b.r), g: mix(a.g, b.g), b: mix(a.b, b.b), a: alpha };
}

/** So many steps between two stops keep within a step of a channel of what they stand for. */
const STRAIGHT_STEPS = 32;

/** What lies between two stops of different alpha, both of them included, for a surface that does not premultiply. */
function straightBetween(from: ColourStop, to: ColourStop): ColourStop[] {
  const [a, b] = [rgbaOf(from.colour), rgbaOf(to.colour)];
  return Array.from({ length: STRAIGHT_STEPS + 1 }, (_, i) => {
    const share = i / STRAIGHT_STEPS;
    // A stop that is not seen takes the colour that leads there.
    const near = Math.min(1 - 1e-6, Math.max(1e-6, share));
    const colour = { ...mixed(a, b, near), a: a.a + (b.a - a.a) * share };
    return { at: from.at + (to.at - from.at) * share, colour: hexAlphaOf(colour) };
  });
}

/**
 * The stops of a gradient for a surface that mixes colours without premultiplying them, as canvas and SVG do, with as
 * many more between stops of different alpha as it takes to look as if it did.
 * Sources: HTML (canvas, interpolation of gradients), SVG 2 §14.2; CSS Images 3 §3.4 for how it is to look.
 */
export function straightStops(stops: readonly ColourStop[]): ColourStop[] {
  return stops.flatMap((stop, i) => {
    const next = stops[i + 1];
    const differs = next && next.at > stop.at && rgbaOf(next.colour).a !== rgbaOf(stop.colour).a;
    return differs ? [stop, ...straightBetween(stop, next)] : [stop];
  });
}

/** How far along a gradient a point lies; 0..1 between its ends. Source: CSS Images 3 §3.1 and §3.2. */
function shareAt(paint: Exclude<PlacedPaint, { kind: 'colour' }>, { x, y }: Point): number {
  if (paint.kind === 'radial') return Math.hypot(x - paint.centre.x, y - paint.centre.y) / paint.radius;
  const [dx, dy] = [paint.to.x - paint.from.x, paint.to.y - paint.from.y];
  return ((x - paint.from.x) * dx + (y - paint.from.y) * dy) / (dx * dx + dy * dy);
}

/** The colours of a paint at points of the screen; beyond the ends of a gradient its first or last colour. */
export function colourer(paint: PlacedPaint): (point: Point) => Rgba {
  if (paint.kind === 'colour') {
    const colour = rgbaOf(paint.colour);
    return () => colour;
  }
  const stops = paint.stops.map(({ at, colour }) => ({ at, colour: rgbaOf(colour) }));
  return (point) => {
    const share = shareAt(paint, point);
    const next = stops.findIndex((s) => s.at > share);
    if (next === 0) return stops[0]!.colour;
    if (next < 0) return stops.at(-1)!.colour;
    const [from, to] = [stops[next - 1]!, stops[next]!];
    return mixed(from.colour, to.colour, (share - from.at) / (to.at - from.at));
  };
}
