import { converter, formatHex, formatHex8, parse, toGamut, type Color, type Rgb } from 'culori';

/** A colour as documents keep it. */
export interface KeptColour {
  /** `#rrggbb`, or `#rrggbbaa` where it is see-through */
  hex: string;
  /** whether it is one that sRGB does not have, so that the nearest is taken */
  isMapped: boolean;
}

const toRgb = converter('rgb');
/** What ends up on the same byte is the same colour. */
const isInRgb = ({ r, g, b }: Rgb) => [r, g, b].every((c) => c > -0.5 / 255 && c < 1 + 0.5 / 255);
/** As CSS Color 4 §13.2 maps colours: by chroma in OKLCH. */
const mapped = toGamut('rgb', 'oklch');

/** A colour of any space in sRGB; one that sRGB does not have becomes the nearest. */
export function keptColour(found: Color): KeptColour {
  const own = toRgb(found);
  const isMapped = !isInRgb(own);
  const rgb = isMapped ? toRgb(mapped(found)) : own;
  const alpha = Math.round(Math.max(0, Math.min(1, rgb.alpha ?? 1)) * 255);
  return { hex: alpha === 255 ? formatHex(rgb) : formatHex8(rgb), isMapped };
}

/**
 * A colour in any form of CSS Color 4: a name, hexadecimal of 3 to 8 digits (also without its sign), `rgb()`, `hsl()`,
 * `lab()`, `oklch()` and the others. `null` for what is none.
 */
export function readColour(text: string): KeptColour | null {
  const typed = text.trim();
  const found = parse(typed) ?? parse(`#${typed}`);
  return found ? keptColour(found) : null;
}

/** How opaque a kept colour is, 0..1. */
export const alphaOf = (hex: string): number => (hex.length === 9 ? parseInt(hex.slice(7), 16) / 255 : 1);

/** Gives a colour, `#rrggbb` or `#rrggbbaa`, another alpha, 0..1. */
export function withAlpha(hex: string, alpha: number): string {
  const a = Math.round(Math.max(0, Math.min(1, alpha)) * 255);
  return hex.slice(0, 7) + (a === 255 ? '' : a.toString(16).padStart(2, '0'));
}
