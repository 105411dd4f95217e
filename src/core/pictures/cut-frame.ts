import { clamp, type Rect } from '../geometry/rect';
import { areaWithin } from './areas';
import type { Cut, KeepArea } from './picture';

/** Along one axis of a frame as long as `length`: a stretch that has to be seen, and how much it counts. Shares of the picture. */
interface Stretch {
  from: number;
  to: number;
  weight: number;
}

/** How much of what has to be seen lies in a frame that begins at `at`, each part by its weight. */
const seen = (at: number, length: number, stretches: readonly Stretch[]): number =>
  stretches.reduce((sum, { from, to, weight }) => {
    const common = Math.min(to, at + length) - Math.max(from, at);
    return sum + (weight * Math.max(0, common)) / (to - from);
  }, 0);

/**
 * Where a frame begins so that the most of what has to be seen lies in it; of places that show as much, the one whose middle is
 * nearest to `wanted`. What is seen grows and shrinks evenly between the places where a stretch begins or ends, so that the best
 * is one of them or lies between two that are as good.
 */
function startOf(length: number, stretches: readonly Stretch[], wanted: number): number {
  const most = 1 - length;
  const within = (at: number) => clamp(at, 0, most);
  const own = within(wanted - length / 2);
  const places = [
    0,
    most,
    own,
    ...stretches.flatMap(({ from, to }) => [from, to, from - length, to - length].map(within)),
  ];
  const values = places.map((at) => ({ at, value: seen(at, length, stretches) }));
  const best = Math.max(...values.map((v) => v.value));
  const good = values.filter((v) => v.value >= best - 1e-9).map((v) => v.at);
  return good.reduce((a, b) => (Math.abs(b - own) < Math.abs(a - own) - 1e-12 ? b : a));
}

const stretchesOf = (areas: readonly KeepArea[], axis: 'x' | 'y'): Stretch[] =>
  areas
    .map(({ rect, weight }) => ({
      from: rect[axis],
      to: rect[axis] + (axis === 'x' ? rect.width : rect.height),
      weight,
    }))
    .filter(({ from, to, weight }) => to > from && weight > 0);

/**
 * The largest frame of a ratio in a picture, where it shows the most of its keep areas; of frames that show as much, the one that
 * is nearest to the focal point.
 * @param size of the picture, in any unit @param ratio width ÷ height of the frame, > 0
 * @returns shares of the picture
 */
export function cutFrame(
  size: { width: number; height: number },
  ratio: number,
  { keepAreas, focalPoint }: Pick<Cut, 'keepAreas' | 'focalPoint'>,
): Rect {
  const own = size.width / size.height;
  const width = Math.min(1, ratio / own);
  const height = Math.min(1, own / ratio);
  return {
    x: startOf(width, stretchesOf(keepAreas, 'x'), focalPoint.x),
    y: startOf(height, stretchesOf(keepAreas, 'y'), focalPoint.y),
    width,
    height,
  };
}

/** A frame that keeps its ratio while its far corner is drawn to another place; it stays within the picture. */
export function resizedFrame(frame: Rect, wanted: Pick<Rect, 'width' | 'height'>): Rect {
  const times = Math.max(wanted.width / frame.width, wanted.height / frame.height);
  const least = 0.02 / Math.min(frame.width, frame.height);
  const most = Math.min((1 - frame.x) / frame.width, (1 - frame.y) / frame.height);
  const by = clamp(times, Math.min(least, most), most);
  return { ...frame, width: frame.width * by, height: frame.height * by };
}

/** Subjects that a frame does not show whole. */
export const cutByFrame = (frame: Rect, areas: readonly KeepArea[]): string[] =>
  areas
    .filter(
      ({ rect: r }) =>
        r.x < frame.x - 1e-6 ||
        r.y < frame.y - 1e-6 ||
        r.x + r.width > frame.x + frame.width + 1e-6 ||
        r.y + r.height > frame.y + frame.height + 1e-6,
    )
    .map(({ subject }) => subject);

/** What is marked on a picture, on a part of it; what lies outside of the part is not marked there. */
export function marksWithin({ keepAreas, focalPoint }: Pick<Cut, 'keepAreas' | 'focalPoint'>, part: Rect) {
  const isSeen = ({ rect: r }: KeepArea) =>
    r.x < part.x + part.width &&
    r.x + r.width > part.x &&
    r.y < part.y + part.height &&
    r.y + r.height > part.y;
  return {
    keepAreas: keepAreas.filter(isSeen).map((k) => ({ ...k, rect: areaWithin(k.rect, part) })),
    focalPoint: {
      x: clamp((focalPoint.x - part.x) / part.width, 0, 1),
      y: clamp((focalPoint.y - part.y) / part.height, 0, 1),
    },
  };
}
