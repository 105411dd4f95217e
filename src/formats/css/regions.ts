import type { Scene } from '@/core/scene/scene';
import { SIDES, type Side } from '@/core/geometry/rect';
import type { Lengths } from './lengths';
import { Rules } from './rules';
import { Sum } from './sum';

/** What the browser knows of the safe area, unless the page is told by custom properties of the screen. */
const safe = (side: Side) => Sum.of(`var(--safe-${side}, env(safe-area-inset-${side}, 0px))`, true);

/** How far bars reach in: no browser says, so that one that is shown is as deep as the safe area, with the app’s own bar. */
function bar(side: Side, { bars }: Scene): Sum {
  const title = side === 'top' && bars.title.shown ? bars.title.height : 0;
  const isShown = (side === 'top' && bars.status.shown) || (side === 'bottom' && bars.navigation.shown);
  const usual = isShown ? safe(side).plus(Sum.px(title)) : Sum.px(title);
  return Sum.of(`var(--bar-${side}, ${usual.css()})`, true);
}

type Insets = Record<Side, Sum>;
type Region = 'screen' | 'safe' | 'content' | 'margins';

/** A region that lies so far inside of another, as custom properties. */
function inside(name: Region, of: Region, insets: Insets, mirrored: boolean): Record<string, string> {
  const [start, end] = mirrored ? [insets.right, insets.left] : [insets.left, insets.right];
  const at = (axis: 'x' | 'y') => (of === 'screen' ? Sum.px(0) : Sum.of(`var(--${of}-${axis})`));
  const left = (extent: 'width' | 'height', a: Sum, b: Sum) =>
    Sum.max([Sum.px(0), Sum.of(`var(--${of}-${extent})`, true).minus(a).minus(b)]).css();
  return {
    [`--${name}-x`]: at('x').plus(start).css(),
    [`--${name}-y`]: at('y').plus(insets.top).css(),
    [`--${name}-width`]: left('width', start, end),
    [`--${name}-height`]: left('height', insets.top, insets.bottom),
  };
}

const perSide = (of: (side: Side) => Sum) =>
  Object.fromEntries(SIDES.map((side) => [side, of(side)])) as Insets;

/**
 * The regions of a scene as custom properties; across they count from the side that rules call the start.
 * Source for the insets: CSS Environment Variables 1 §2.1.
 */
export function regionRules(scene: Scene, lengths: Lengths): Rules {
  const mirrored = scene.direction === 'rtl';
  const margins = perSide((side) => {
    const extent = side === 'left' || side === 'right' ? 'width' : 'height';
    return lengths.of(scene.margin[side], () => Sum.of(`var(--safe-${extent})`, true));
  });
  // What a rule calls the left margin lies at the right of a scene that is mirrored.
  const drawn = mirrored ? { ...margins, left: margins.right, right: margins.left } : margins;
  return new Rules().add('.scene', {
    '--screen-width': '100cqw',
    '--screen-height': '100cqh',
    ...inside('safe', 'screen', perSide(safe), mirrored),
    ...inside(
      'content',
      'screen',
      perSide((side) => bar(side, scene)),
      mirrored,
    ),
    ...inside('margins', 'safe', drawn, mirrored),
  });
}
