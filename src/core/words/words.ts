/** With a capital, as at the start of a sentence. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * Letters one by one, so that each can be told: “ש”, “ל” and “م”. Each is isolated, so that one that is written from right
 * to left does not turn the list about (Unicode Standard Annex 9, FSI and PDI).
 */
export function sayLetters(letters: readonly string[]): string {
  const quoted = letters.map((l) => `“\u2068${l}\u2069”`);
  const last = quoted.pop() ?? '';
  return quoted.length > 0 ? `${quoted.join(', ')} and ${last}` : last;
}

/** “the screen’s”, “the margins’” */
export const possessive = (name: string): string => `${name}’${name.endsWith('s') ? '' : 's'}`;

/** A time as it is said: “2026-11-02 09:00 UTC”. @param at ISO 8601 */
export const sayTime = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;

/** “1 file”, “12 files” */
export const countOf = (n: number, noun: string): string => `${n} ${noun}${n === 1 ? '' : 's'}`;
/** “1 case”, “12 cases” */
export const countCases = (n: number): string => countOf(n, 'case');
