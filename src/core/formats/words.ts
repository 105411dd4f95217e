/** With a capital, as at the start of a sentence. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Letters one by one, so that each can be told: “ש”, “ל” and “م”. */
export function sayLetters(letters: readonly string[]): string {
  const quoted = letters.map((l) => `“${l}”`);
  const last = quoted.pop() ?? '';
  return quoted.length > 0 ? `${quoted.join(', ')} and ${last}` : last;
}
