import sharp from 'sharp';
import type { Size } from '../src/core/geometry/rect';

/** A picture of one random colour. */
export const plainPng = (size: Size, random: () => number): Promise<Buffer> => {
  const background = { r: random() * 255, g: random() * 255, b: random() * 255 };
  return sharp({ create: { ...size, channels: 3, background } })
    .png()
    .toBuffer();
};

/** A drawing that takes seconds in a kilobyte, as somebody’s export may be; another one for each number. */
export const slowDrawing = (n: number): Uint8Array =>
  new TextEncoder().encode(
    `<svg xmlns="http://www.w3.org/2000/svg" width="3000" height="3000"><filter id="f"><feTurbulence baseFrequency="0.0${n}" numOctaves="9"/></filter><rect width="3000" height="3000" filter="url(#f)"/></svg>`,
  );
