import { area, intersect, partOf, type Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import { isRepeated } from '../fit/tiles';
import type { KeepArea } from '../pictures/picture';
import type { Outline } from '../screens/outline';
import { sayShare } from '../words/numbers';
import { hiddenByGlass } from './glass';

/** From this share on nothing is left to be said of the rest. */
const ALL_BUT = 0.9995;

export interface KeptSubject {
  subject: string;
  /** share of the keep area that is not visible, 0..1 */
  lost: number;
  /** share of the keep area that would be seen but for a cutout or a rounded corner, 0..1 */
  hidden: number;
  /** where it is drawn, absolute on the screen, lu */
  rect: Rect;
}

/**
 * The keep area that is worst off, in words: “Lighthouse cut off”, “Ferry 43 % cut off”; `null` where none is.
 * @param shareOf how much of one is lost, 0..1
 */
export function sayWorst(
  areas: readonly KeptSubject[] | null,
  shareOf: (area: KeptSubject) => number,
  lost: string,
): string | null {
  const worst = areas?.reduce((a, b) => (shareOf(b) > shareOf(a) ? b : a));
  if (!worst || shareOf(worst) === 0) return null;
  const share = shareOf(worst) > ALL_BUT ? '' : `${sayShare(shareOf(worst))} `;
  return `${worst.subject} ${share}${lost}`;
}

/**
 * How much of each keep area of a picture is not seen. `null` for a repeated picture, and for one without any.
 * @param areas shares of the picture's width and height
 */
export function keep(p: Placement, areas: readonly KeepArea[], outline: Outline): KeptSubject[] | null {
  if (areas.length === 0 || isRepeated(p)) return null;
  const { width, height } = p.natural;
  return areas.map(({ subject, rect }) => {
    const wanted = {
      x: rect.x * width,
      y: rect.y * height,
      width: rect.width * width,
      height: rect.height * height,
    };
    const seen = p.source && intersect(wanted, p.source);
    const whole = area(wanted);
    // An area of no extent is kept as long as the picture is seen at all.
    const lost = whole > 0 ? 1 - (seen ? area(seen) : 0) / whole : Number(p.source === null);
    const on = partOf(p.drawn, rect);
    const seenOn = p.visible && intersect(on, p.visible);
    const under = seenOn ? hiddenByGlass(seenOn, outline) : { cutout: 0, corner: 0 };
    const hidden = area(on) > 0 ? (under.cutout + under.corner) / area(on) : 0;
    return { subject, lost: lost < 1e-12 ? 0 : lost, hidden, rect: on };
  });
}
