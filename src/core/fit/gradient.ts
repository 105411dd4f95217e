import { rgbaOf, type Rgba } from '../pixels/raster';
import { area, bottom, right, type Rect } from '../geometry/rect';
import type { Gradient, Paint } from '../scene/paint';
import { resolveColour, type Appearance, type NamedValue } from '../scene/values';

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

const mixed = (a: Rgba, b: Rgba, share: number): Rgba => ({
  r: a.r + (b.r - a.r) * share,
  g: a.g + (b.g - a.g) * share,
  b: a.b + (b.b - a.b) * share,
  a: a.a + (b.a - a.a) * share,
});

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
