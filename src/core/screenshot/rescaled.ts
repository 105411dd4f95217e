import { aroundAsWithout, isThere, supportOf, type Held, type Pose, type Support } from './presence';
import { searchAround } from './search';
import { thinned, type Shown } from './shown';

/** Sizes that a layer is looked for at, as parts of its own; between them its scale is searched. */
const SCALES = [0.4, 0.45, 0.5, 0.56, 0.63, 0.7, 0.78, 0.87, 1.12, 1.25, 1.4, 1.6, 1.8, 2, 2.5];
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
/** Its size is told by its ends, so that most of it and of what is around it has to be seen, and to be as it is drawn. */
const WHOLE = { says: 0.5, explained: 0.6, around: 0.6 };

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
 * @param ring px around it @param reach how far it is searched, px
 * @returns `null` where it is at none of the sizes from two fifths to two and a half times its own
 */
export function findRescaled(
  shown: Shown,
  held: Held,
  ring: readonly number[],
  reach: number,
): { pose: Pose; support: Support } | null {
  const { middle } = held;
  const few = { ...held, px: thinned(held.px, FEW) };
  // By the area that is explained: a part of what is there is explained by anything smaller as well.
  const costOf = (pose: Pose) => {
    // What lies under something else at one size may be seen at another: no mean of what is seen, but all of it.
    const { cost, looked } = supportOf(shown, few, pose);
    return cost * looked * pose.scale ** 2;
  };
  const starts = SCALES.map((scale) => {
    const by = searchAround((b) => costOf({ by: b, scale }), { x: 0, y: 0 }, reach, 3);
    return { pose: { by, scale }, cost: costOf({ by, scale }) };
  }).toSorted((a, b) => a.cost - b.cost);
  const found = starts.slice(0, 4).map(({ pose }) => {
    const best = walked(costOf, pose);
    return { pose: best, support: supportOf(shown, held, best) };
  });
  const [best] = found.toSorted((a, b) => costOf(a.pose) - costOf(b.pose));
  if (!best || best.pose.scale <= 0.35) return null;
  if (Math.max(Math.abs(best.pose.by.x), Math.abs(best.pose.by.y)) > reach) return null;
  const around = aroundAsWithout(shown, ring, best.pose, middle);
  const { says, explained } = best.support;
  const isWhole = says >= WHOLE.says && explained >= WHOLE.explained && (around ?? 1) >= WHOLE.around;
  return isWhole && isThere(best.support, around) ? best : null;
}
