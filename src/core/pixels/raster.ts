/** Pixels as they are coded in sRGB: four bytes each, red, green, blue and alpha, not premultiplied, row by row. */
export interface Raster {
  width: number;
  height: number;
  data: Uint8Array | Uint8ClampedArray;
}

/** @throws RangeError for rasters of two sizes */
export function checkSameSize(one: Raster, two: Raster): void {
  if (one.width !== two.width || one.height !== two.height)
    throw new RangeError(`${one.width} × ${one.height} px against ${two.width} × ${two.height} px`);
}

/** Channels 0..255 and alpha 0..1, coded in sRGB. */
export interface Rgba {
  r: number;
  g: number;
  b: number;
  a: number;
}

/** Opaque colours, one after another: red, green and blue of each, 0..255. */
export type Colours = Float64Array;

export const colourAt = (colours: Colours, i: number): Rgba => ({
  r: colours[i * 3]!,
  g: colours[i * 3 + 1]!,
  b: colours[i * 3 + 2]!,
  a: 1,
});

export const coloursOf = (list: readonly Rgba[]): Colours =>
  Float64Array.from(list.flatMap(({ r, g, b }) => [r, g, b]));

/** How many there are. */
export const countOf = (colours: Colours): number => colours.length / 3;

const byte = (value: number) =>
  Math.round(Math.max(0, Math.min(255, value)))
    .toString(16)
    .padStart(2, '0');

/** `#rrggbb`; what is see-through is left out */
export const hexOf = ({ r, g, b }: Rgba): string => `#${byte(r)}${byte(g)}${byte(b)}`;

/** `#rrggbbaa` */
export const hexAlphaOf = (colour: Rgba): string => hexOf(colour) + byte(colour.a * 255);

/** @param hex `#rrggbb` or `#rrggbbaa` */
export function rgbaOf(hex: string): Rgba {
  const rgb = parseInt(hex.slice(1, 7), 16);
  const a = hex.length === 9 ? parseInt(hex.slice(7), 16) / 255 : 1;
  return { r: rgb >> 16, g: (rgb >> 8) & 255, b: rgb & 255, a };
}
