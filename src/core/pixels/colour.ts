import type { Colours, Rgba } from './raster';

/** Source: WCAG 2.2, relative luminance; the threshold is the one of IEC 61966-2-1. */
function linearOf(coded: number): number {
  const c = coded / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

/** Steps of the table for each coded value: between them a straight line is off by less than 1e-7. */
const STEPS = 8;
const TABLE = Float64Array.from({ length: 255 * STEPS + 2 }, (_, i) => linearOf(i / STEPS));

/**
 * Linear light of a coded value from a table, exact at whole coded values: means of many pixels ask for it hundreds of thousands of times.
 * @param coded 0..255, or out of it by the last bits of a mean: the table goes on for one entry, and cutting to a whole
 *   number takes what is just under 0 to the first. Holding it in between takes as long as all the rest
 */
function linear(coded: number): number {
  const at = coded * STEPS;
  const i = at | 0;
  return TABLE[i]! + (TABLE[i + 1]! - TABLE[i]!) * (at - i);
}

const weighed = (r: number, g: number, b: number) =>
  0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);

/** Relative luminance of an opaque colour, 0 black to 1 white. */
export const luminance = ({ r, g, b }: Omit<Rgba, 'a'>) => weighed(r, g, b);

/** Relative luminance of one of many colours, 0..1. */
export const luminanceAt = (colours: Colours, i: number) =>
  weighed(colours[i * 3]!, colours[i * 3 + 1]!, colours[i * 3 + 2]!);

/** Contrast of two opaque colours, 1 to 21. Source: WCAG 2.2, contrast ratio. */
export function contrastRatio(a: Omit<Rgba, 'a'>, b: Omit<Rgba, 'a'>): number {
  return ratioOf(luminance(a), luminance(b));
}

/** Contrast of two relative luminances, 1 to 21. */
export const ratioOf = (a: number, b: number): number =>
  a > b ? (a + 0.05) / (b + 0.05) : (b + 0.05) / (a + 0.05);

/** A colour over an opaque one, mixed as it is coded. Source: CSS Compositing 1 §5.1 (source-over). */
export const over = (top: Rgba, below: Omit<Rgba, 'a'>): Rgba => ({
  r: top.r * top.a + below.r * (1 - top.a),
  g: top.g * top.a + below.g * (1 - top.a),
  b: top.b * top.a + below.b * (1 - top.a),
  a: 1,
});

/** A colour over each of many opaque ones. */
export function laidOver({ r, g, b, a }: Rgba, below: Colours): Colours {
  const own = [r, g, b];
  return below.map((value, k) => own[k % 3]! * a + value * (1 - a));
}

/** CIE 1976 L*a*b* */
export interface Lab {
  l: number;
  a: number;
  b: number;
}

/** White of D65 at two degrees, as sRGB has it. */
const WHITE = { x: 0.95047, y: 1, z: 1.08883 };
const DELTA = 6 / 29;
const root = (t: number) => (t > DELTA ** 3 ? Math.cbrt(t) : t / (3 * DELTA ** 2) + 4 / 29);

/** Sources: IEC 61966-2-1 (sRGB to XYZ), CIE 15:2004 (XYZ to L*a*b*). */
export function labOf(colour: Omit<Rgba, 'a'>): Lab {
  const [r, g, b] = [linear(colour.r), linear(colour.g), linear(colour.b)];
  const x = root((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / WHITE.x);
  const y = root((0.2126729 * r + 0.7151522 * g + 0.072175 * b) / WHITE.y);
  const z = root((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / WHITE.z);
  return { l: 116 * y - 16, a: 500 * (x - y), b: 200 * (y - z) };
}

const degrees = (radians: number) => (radians * 180) / Math.PI;
const cosine = (angle: number) => Math.cos((angle * Math.PI) / 180);
const sine = (angle: number) => Math.sin((angle * Math.PI) / 180);
const POWER = 25 ** 7;

/** Hue in degrees, 0..360; 0 where there is none. */
const hueOf = (a: number, b: number) => (a === 0 && b === 0 ? 0 : (degrees(Math.atan2(b, a)) + 360) % 360);

/** Difference of two hues, −180..180; 0 where one of them has none. */
function hueStep(h1: number, h2: number, grey: boolean): number {
  if (grey) return 0;
  const step = h2 - h1;
  if (step > 180) return step - 360;
  return step < -180 ? step + 360 : step;
}

function meanHue(h1: number, h2: number, grey: boolean): number {
  if (grey) return h1 + h2;
  if (Math.abs(h1 - h2) <= 180) return (h1 + h2) / 2;
  return h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2;
}

/**
 * Difference of two colours as they are seen; about 1 is just noticeable.
 * Source: CIEDE2000 with kL = kC = kH = 1, in the form of Sharma, Wu and Dalal, 2005.
 */
export function ciede2000(one: Lab, two: Lab): number {
  const chroma = (Math.hypot(one.a, one.b) + Math.hypot(two.a, two.b)) / 2;
  const grow = 1 + 0.5 * (1 - Math.sqrt(chroma ** 7 / (chroma ** 7 + POWER)));
  const [a1, a2] = [one.a * grow, two.a * grow];
  const [c1, c2] = [Math.hypot(a1, one.b), Math.hypot(a2, two.b)];
  const [h1, h2] = [hueOf(a1, one.b), hueOf(a2, two.b)];
  const grey = c1 * c2 === 0;

  const lightness = two.l - one.l;
  const saturation = c2 - c1;
  const hue = 2 * Math.sqrt(c1 * c2) * sine(hueStep(h1, h2, grey) / 2);

  const l = (one.l + two.l) / 2;
  const c = (c1 + c2) / 2;
  const h = meanHue(h1, h2, grey);
  const t =
    1 - 0.17 * cosine(h - 30) + 0.24 * cosine(2 * h) + 0.32 * cosine(3 * h + 6) - 0.2 * cosine(4 * h - 63);
  const turn = 30 * Math.exp(-(((h - 275) / 25) ** 2));
  const twist = -2 * Math.sqrt(c ** 7 / (c ** 7 + POWER)) * sine(2 * turn);
  const sl = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2);
  const sc = 1 + 0.045 * c;
  const sh = 1 + 0.015 * c * t;
  const [x, y, z] = [lightness / sl, saturation / sc, hue / sh];
  return Math.sqrt(Math.max(0, x * x + y * y + z * z + twist * y * z));
}
