import type { TextMetrics } from '../text/layout';

/**
 * A font of which every letter is half as wide as the font size, and which has the letters of ASCII and a few more. Its
 * lines may end after spaces and hyphens.
 */
export const halfWide: TextMetrics = {
  width: (text) => [...text].length * 0.5,
  vertical: () => ({ ascent: 0.8, descent: 0.2 }),
  missing: (text) => [...new Set([...text].filter((c) => c !== '\n' && !/[ -~…é]/.test(c)))],
  breaks: (text) => [...text.matchAll(/[ -]+/g)].map((m) => m.index + m[0].length),
  reading: () => 'ltr',
};
