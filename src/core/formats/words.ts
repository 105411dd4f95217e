/** With a capital, as at the start of a sentence. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
