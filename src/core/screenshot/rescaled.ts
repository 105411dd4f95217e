import { aroundAsWithout, isThere, supportOf, type Pose, type Support } from './presence';
import { searchAround } from './search';
import { thinned, type Point, type Shown } from './shown';

/** Sizes that a layer is looked for at, as parts of its own; between them its scale is searched. */
const SCALES = [0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.1, 1.2, 1.35, 1.5, 1.75, 2, 2.5];
/** Px that are looked at for each of them. */
const FEW = 900;
/** By so much a scale and a shift are tried to both sides, over and over, each time less. */
const STEPS = [
  { scale: 0.06, by: 4 },
  { scale: 0.03, by: 2 },
  { scale: 0.015, by: 1 },
  { scale: 0.006, by: 0.5 },
  { scale: 0.003, by: 0.25 },
];
const ROUNDS = 6;

/** The best pose that can be walked to from one, by ever smaller steps. */
function walked(cost: (pose: Pose) => number, from: Pose): Pose {
  let best = { pose: from, cost: cost(from) };
  for (const step of STEPS)
    for (let round = 0; round < ROUNDS; round++) {
      const { by, scale } = best.pose;
      const tried: Pose[] = [-1, 1].flatMap((n) => [
        { by, scale: scale + n * step.scale },
        { by: { x: by.x + n * step.by, y: by.y }, scale },
        { by: { x: by.x, y: by.y + n * step.by }, scale },
      ]);
      const better = tried
        .map((pose) => ({ pose, cost: cost(pose) }))
        .reduce((a, b) => (b.cost < a.cost - 1e-9 ? b : a), best);
      if (better === best) break;
      best = better;
    }
  return best.pose;
}

/**
 * Where a layer stands in another size than it is drawn in, its shape being the same.
 * @param px of the layer @param ring around it @param middle of it, about which it is scaled @param reach how far it is searched, px
 * @returns `null` where it is at none of the sizes from two fifths to two and a half times its own
 */
export function findRescaled(
  shown: Shown,
  { px, ring, middle }: { px: readonly number[]; ring: readonly number[]; middle: Point },
  reach: number,
): { pose: Pose; support: Support } | null {
  const few = thinned(px, FEW);
  const costOf = (pose: Pose, of: readonly number[]) => supportOf(shown, of, pose, middle).cost;
  const starts = SCALES.map((scale) => {
    const by = searchAround((b) => costOf({ by: b, scale }, few), { x: 0, y: 0 }, reach, 4);
    return { pose: { by, scale }, cost: costOf({ by, scale }, few) };
  }).toSorted((a, b) => a.cost - b.cost);
  const found = starts.slice(0, 2).map(({ pose }) => {
    const best = walked((p) => costOf(p, few), pose);
    return { pose: best, support: supportOf(shown, px, best, middle) };
  });
  const [best] = found.toSorted((a, b) => a.support.cost - b.support.cost);
  if (!best || best.pose.scale <= 0.35) return null;
  return isThere(best.support, aroundAsWithout(shown, ring, best.pose, middle)) ? best : null;
}
