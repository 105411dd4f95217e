import type { Point } from './shown';

/** The whole px to which a cost is least, within a reach of a start. Of equals the one that is moved less. */
export function searchAround(cost: (by: Point) => number, from: Point, reach: number, step: number): Point {
  const offsets: Point[] = [];
  for (let y = -reach; y <= reach; y += step)
    for (let x = -reach; x <= reach; x += step) offsets.push({ x, y });
  offsets.sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y));
  let best = { by: from, cost: Infinity };
  for (const { x, y } of offsets) {
    const by = { x: from.x + x, y: from.y + y };
    const found = cost(by);
    if (found < best.cost - 1e-9) best = { by, cost: found };
  }
  return best.by;
}

/** To so many parts of a px it is said where something lies. */
const PARTS = 4;

/** Where along an axis a cost is least, to a quarter of a px around a whole one. */
export function refined(cost: (at: number) => number, whole: number): number {
  let best = { at: whole, cost: cost(whole) };
  for (let part = 1 - PARTS; part < PARTS; part++) {
    const at = whole + part / PARTS;
    const found = part === 0 ? Infinity : cost(at);
    if (found < best.cost - 1e-9) best = { at, cost: found };
  }
  return best.at;
}
