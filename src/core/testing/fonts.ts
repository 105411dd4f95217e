import type { TextMetrics } from '../text/layout';

/** A font of which every letter is half as wide as the font size, and which has the letters of ASCII and a few more. */
export const halfWide: TextMetrics = {
  width: (text) => [...text].length * 0.5,
  vertical: () => ({ ascent: 0.8, descent: 0.2 }),
  missing: (text) => [...new Set([...text].filter((c) => c !== '\n' && !/[ -~…é]/.test(c)))],
};
