/** Where ratios and losses lie on a drawing of the valley, in units of its view box. */
export interface ValleyScale {
  width: number;
  height: number;
  /** ratios at the left and the right end */
  low: number;
  high: number;
  /** the loss at the upper edge, > 0 */
  most: number;
}

/** Room below for the ratios, and above for what the axes are. */
const FOOT = 16;
const HEAD = 18;

/** Ratios go by their logarithm, so that 1 : 2 and 2 : 1 are equally far from a square. */
export const xOf = ({ width, low, high }: ValleyScale, ratio: number) =>
  (Math.log(ratio / low) / Math.log(high / low)) * width;
export const ratioAt = ({ width, low, high }: ValleyScale, x: number) => low * (high / low) ** (x / width);

const depth = ({ height }: ValleyScale) => height - FOOT - HEAD;
export const yOf = (scale: ValleyScale, loss: number) =>
  HEAD + depth(scale) * (1 - Math.min(1, loss / scale.most));
export const lossAtY = (scale: ValleyScale, y: number) =>
  Math.max(0, (1 - (y - HEAD) / depth(scale)) * scale.most);

/** Ratios that a scale is lettered with. */
export const RATIO_LABELS: readonly (readonly [number, string])[] = [
  [9 / 21, '9 : 21'],
  [9 / 16, '9 : 16'],
  [3 / 4, '3 : 4'],
  [1, '1 : 1'],
  [4 / 3, '4 : 3'],
  [16 / 9, '16 : 9'],
  [21 / 9, '21 : 9'],
];
