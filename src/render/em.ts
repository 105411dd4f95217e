/** Outlines of letters are in this many units per font size, y downwards from the baseline. */
export const EM = 2048;
