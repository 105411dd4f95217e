/** Numbers as they are read: lengths exact to 0.1, ratios and shares to three significant figures, units always. */

const tenth = new Intl.NumberFormat('en', { maximumFractionDigits: 1, useGrouping: false });
const three = new Intl.NumberFormat('en', { maximumSignificantDigits: 3, useGrouping: false });

const hundredth = new Intl.NumberFormat('en', { maximumFractionDigits: 2, useGrouping: false });

/** A minus sign proper, and no “−0”. */
const signed = (text: string) => (/^-0(\.0*)?$/.test(text) ? '0' : text.replace(/^-/, '−'));

export const sayNumber = (value: number) => signed(tenth.format(value));
/** With up to so many decimals, without zeros at the end: “2.8125” */
export const sayDecimals = (value: number, decimals: number) =>
  signed(String(Number(value.toFixed(decimals))));
/** Parts of a px: “0.43” */
export const sayPixels = (px: number) => signed(hundredth.format(px));
export const sayRatio = (value: number) => signed(three.format(value));
/** The last bits of a sum are nothing. */
const ROUNDING = 1e-11;
export const sayShare = (value: number) =>
  `${signed(three.format(Math.abs(value) < ROUNDING ? 0 : value * 100))} %`;
/**
 * How much of the weight something is said of: whole per cents, as weights are illustrative or counted from users; what is
 * next to nothing, or next to all, is said so.
 */
export function sayWeight(share: number): string {
  if (share < ROUNDING) return '0 %';
  if (share < 0.005) return 'under 1 %';
  return share >= 0.995 && share < 1 - ROUNDING ? 'over 99 %' : `${Math.round(share * 100)} %`;
}
/** How opaque a colour is: whole per cents, as alpha is typed. */
export const sayAlpha = (alpha: number) => `${Math.round(alpha * 100)}\u00a0%`;
export const sayLength = (value: number) => `${sayNumber(value)} lu`;
export const sayArea = (value: number) => `${sayNumber(value)} lu²`;
/** Densities go by thousandths: “3”, “2.625” */
export const sayDensity = (density: number) => String(Math.round(density * 1000) / 1000);
export const sayTimes = (value: number) => `${sayRatio(value)} ×`;
/** “4.5 : 1”; WCAG gives its ratios to one decimal, downwards, so that one just under a limit is not said as that limit. */
export const sayContrast = (ratio: number) => `${tenth.format(Math.floor(ratio * 10 + 1e-9) / 10)} : 1`;
/** “400 ms”, “1.4 s” */
export const sayMs = (ms: number) => (ms >= 1000 ? `${sayRatio(ms / 1000)} s` : `${sayNumber(ms)} ms`);
export const saySize = (size: { width: number; height: number }) =>
  `${sayNumber(size.width)} × ${sayNumber(size.height)}`;
/** “412 kB”, “4.1 MB” */
export const sayFileSize = (bytes: number) =>
  bytes < 999_500 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${sayNumber(bytes / 1e6)} MB`;
