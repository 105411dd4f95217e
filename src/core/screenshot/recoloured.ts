import { aroundAsWithout } from './presence';
import { refined, searchAround } from './search';
import { MOST_APART, placeIn, type Between, type Point, type Shown } from './shown';

/** Something is there in another colour where that explains all but this share of what its absence leaves unexplained … */
const LEFT = 0.3;
/** … where it stands out by as many levels … */
const LEAST_OFF = 12;
/** Levels by which the px of a layer differ among themselves that has a drawing of its own. */
const DRAWN = 10;
/** … and what is around it is as it is without it. */
const AROUND = 0.6;

const at = ({ data }: Shown['shot'], b: Between, c: number) => {
  const one = data[b.j * 4 + c]!;
  return b.next === 0 ? one : one + b.next * (data[b.k * 4 + c]! - one);
};

/** What is left of a screenshot where a layer would be, once its colours are mapped as well as one line a channel can. */
function residualOf({ whole, without, shot, ignored }: Shown, px: readonly number[], by: Point) {
  const { width } = whole;
  const sums = [0, 1, 2].map(() => ({ n: 0, x: 0, y: 0, xx: 0, xy: 0, yy: 0 }));
  let absent = 0;
  for (const i of px) {
    const x = i % width;
    const to = placeIn(shot, x + by.x, (i - x) / width + by.y);
    if (!to || ignored[to.j]) continue;
    let off = 0;
    for (let c = 0; c < 3; c++) {
      const [w, s] = [whole.data[i * 4 + c]!, at(shot, to, c)];
      const sum = sums[c]!;
      sum.n++;
      sum.x += w;
      sum.y += s;
      sum.xx += w * w;
      sum.xy += w * s;
      sum.yy += s * s;
      off += (s - without.data[to.j * 4 + c]!) ** 2;
    }
    absent += off / 3;
  }
  let left = 0;
  let own = 0;
  let seen = 0;
  for (const { n, x, y, xx, xy, yy } of sums) {
    if (n === 0) continue;
    const [varX, cov, varY] = [xx - (x * x) / n, xy - (x * y) / n, yy - (y * y) / n];
    left += varX > n ? varY - (cov * cov) / varX : varY;
    own += varX / n;
    seen += varY / n;
  }
  // What has a drawing of its own is not seen in something of one colour that lies there.
  const isBlank = own > 3 * DRAWN ** 2 && seen < own / 25;
  return { left: left / 3, absent, count: sums[0]!.n, isBlank };
}

/** What around a layer is not as it is without it, levels squared in all. */
function aroundOff({ without, shot, ignored }: Shown, ring: readonly number[], by: Point): number {
  const { width } = without;
  let off = 0;
  for (const i of ring) {
    const x = i % width;
    const to = placeIn(shot, Math.round(x + by.x), Math.round((i - x) / width + by.y));
    if (!to || ignored[to.j]) continue;
    let sum = 0;
    for (let c = 0; c < 3; c++) sum += (shot.data[to.j * 4 + c]! - without.data[to.j * 4 + c]!) ** 2;
    off += Math.min(sum / 3, MOST_APART ** 2);
  }
  return off;
}

/**
 * Where a layer stands in other colours than it is drawn in: where one line a channel maps its colours to what is seen, and what is
 * around it is as it is without it.
 * @param px of the layer @param ring around it @param reach how far it is searched, px
 * @returns how far it lies from where it is drawn, to a quarter of a px; `null` where nothing like that is seen
 */
export function findRecoloured(
  shown: Shown,
  px: readonly number[],
  ring: readonly number[],
  reach: number,
): Point | null {
  const cost = (by: Point) => {
    const { left, count } = residualOf(shown, px, by);
    return count * 2 < px.length
      ? Infinity
      : left / count + (aroundOff(shown, ring, by) / Math.max(1, ring.length)) * 2;
  };
  const near = searchAround(cost, searchAround(cost, { x: 0, y: 0 }, reach, 4), 4, 1);
  if (Math.max(Math.abs(near.x), Math.abs(near.y)) >= reach) return null;
  const { left, absent, count, isBlank } = residualOf(shown, px, near);
  if (isBlank || count * 2 < px.length || left > LEFT * absent || absent / count < LEAST_OFF ** 2)
    return null;
  const pose = { by: near, scale: 1 };
  if ((aroundAsWithout(shown, ring, pose, { x: 0, y: 0 }) ?? 0) < AROUND) return null;
  return {
    x: refined((x) => cost({ x, y: near.y }), near.x),
    y: refined((y) => cost({ x: near.x, y }), near.y),
  };
}
