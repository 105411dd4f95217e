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

/** “1 case”, “12 cases” */
export const countCases = (n: number): string => `${n} ${n === 1 ? 'case' : 'cases'}`;
