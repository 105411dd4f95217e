import type { PerSide } from '../geometry/rect';
import { sayNumber } from '../words/numbers';
import { capitalised } from '../words/words';
import type { Displaced } from './displaced';

/** A layer as it was found in a screenshot. */
export interface Placed {
  id: string;
  name: string;
  /** `null` where too little of it is seen */
  found: Displaced | null;
}

/** Px that nobody sees, and that no resampling and no encoder keeps to. */
export const SEEN_PX = 0.75;

const px = (value: number) => `${sayNumber(Math.abs(Math.round(value * 2) / 2))} px`;

const sizes = ({ left, right, top, bottom }: PerSide | Displaced['edges']) => ({
  width: left === null || right === null ? 0 : right - left,
  height: top === null || bottom === null ? 0 : bottom - top,
});

/** What is other about a layer than it is ruled, such as “3 px lower”; nothing where it agrees. */
function otherOf({ x, y, edges }: Displaced): string[] {
  const { width, height } = sizes(edges);
  // A size is the difference of two edges, each of which may be off by what is not seen.
  const isSize = (by: number) => Math.abs(by) > 2 * SEEN_PX;
  const across = Math.abs(x) > SEEN_PX && `${px(x)} further to the ${x > 0 ? 'right' : 'left'}`;
  const down = Math.abs(y) > SEEN_PX && `${px(y)} ${y > 0 ? 'lower' : 'further up'}`;
  // Where the middle of something of another size lies says little.
  return [
    isSize(width) ? `${px(width)} ${width > 0 ? 'wider' : 'narrower'}` : across,
    isSize(height) ? `${px(height)} ${height > 0 ? 'taller' : 'shorter'}` : down,
  ].filter((said) => said !== false);
}

/** Whether a layer is where and as large as it is ruled. */
export const agrees = ({ found }: Placed): boolean => found !== null && otherOf(found).length === 0;

/** In one sentence what a screenshot says of a case: “Wordmark 3 px lower than ruled; everything else agrees.” */
export function opinionOf(layers: readonly Placed[]): string {
  const seen = layers.filter((l) => l.found !== null);
  if (seen.length === 0) return 'Nothing of the scene can be made out in it.';
  const off = seen.flatMap((l) => {
    const other = otherOf(l.found!);
    return other.length > 0 ? [`${l.name} ${other.join(' and ')}`] : [];
  });
  if (off.length === 0) return 'Everything that is seen agrees with the rules.';
  const rest = off.length < seen.length ? '; everything else agrees' : '';
  return capitalised(`${off.join(', ')} than ruled${rest}.`);
}
