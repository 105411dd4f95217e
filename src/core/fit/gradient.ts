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
