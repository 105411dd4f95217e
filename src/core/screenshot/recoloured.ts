import { aroundAsWithout } from './presence';
import { refined, searchAround } from './search';
import { MOST_APART, placeIn, ringOf, type Between, type Footprint, type Point, type Shown } from './shown';

/** Something is there in another colour where that explains all but this share of what its absence leaves unexplained … */
const LEFT = 0.3;
/** … where it stands out by as many levels … */
const LEAST_OFF = 12;
/** Levels by which the px of a layer differ among themselves that has a drawing of its own. */
const DRAWN = 10;
/** … and what is around it is as it is without it. */
const AROUND = 0.75;
/**
 * What has become of one colour is told by its outline alone: so much of it stands out, and so much around it does not. The outline
 * of what fills its box says nothing, as any box looks like it.
 */
const OUTLINE = { inside: 0.9, around: 0.85, ofBox: 0.95 };

/** Px around an outline that say where it is. */
const OUTLINE_PX = 4;
/** Of them those that its edges are blurred into by scaling, which say nothing. */
const BLURRED_PX = 1;
/** Px about the place that its colours tell within which its outline is looked for. */
const NEARBY = 3;

const at = ({ data }: Shown['shot'], b: Between, c: number) => {
  const one = data[b.j * 4 + c]!;
  return b.next === 0 ? one : one + b.next * (data[b.k * 4 + c]! - one);
};

/** What is left of a screenshot where a layer would be, once its colours are mapped as well as one line a channel can. */
function residualOf({ whole, without, shot, ignored }: Shown, px: readonly number[], by: Point) {
  const { width } = whole;
  const sums = [0, 1, 2].map(() => ({ n: 0, x: 0, y: 0, xx: 0, xy: 0, yy: 0 }));
  let absent = 0;
  let out = 0;
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
    if (off / 3 > LEAST_OFF ** 2) out++;
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
  return { left: left / 3, absent, count: sums[0]!.n, out, isBlank };
}

const hasOutline = ({ box, count }: Footprint) => count < OUTLINE.ofBox * box.width * box.height;

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
 * @param ring around it @param reach how far it is searched, px
 * @returns how far it lies from where it is drawn, to a quarter of a px; `null` where nothing like that is seen
 */
export function findRecoloured(
  shown: Shown,
  footprint: Footprint,
  ring: readonly number[],
  reach: number,
): Point | null {
  const { px } = footprint;
  const costAround = (around: readonly number[]) => (by: Point) => {
    const { left, count, out } = residualOf(shown, px, by);
    if (count * 2 < px.length) return Infinity;
    // A px that is as it is without the layer is as bad inside of it as one around it that is not.
    const inside = left / count + (1 - out / count) * MOST_APART ** 2;
    return inside + (aroundOff(shown, around, by) / Math.max(1, around.length)) * 2;
  };
  const cost = costAround(ring);
  const near = searchAround(cost, searchAround(cost, { x: 0, y: 0 }, reach, 4), 4, 1);
  if (Math.max(Math.abs(near.x), Math.abs(near.y)) >= reach) return null;
  const { left, absent, count, out, isBlank } = residualOf(shown, px, near);
  if (count * 2 < px.length || absent / count < LEAST_OFF ** 2) return null;
  const around = aroundAsWithout(shown, ring, { by: near, scale: 1 }, { x: 0, y: 0 }) ?? 0;
  const isThere = isBlank
    ? hasOutline(footprint) && out >= OUTLINE.inside * count && around >= OUTLINE.around
    : left <= LEFT * absent && around >= AROUND;
  if (!isThere) return null;
  // Its outline says where it is, to the px.
  const exact = costAround(ringOf(footprint, shown.whole, OUTLINE_PX, 1, BLURRED_PX));
  const best = searchAround(exact, near, NEARBY, 1);
  return {
    x: refined((x) => exact({ x, y: best.y }), best.x),
    y: refined((y) => exact({ x: best.x, y }), best.y),
  };
}
