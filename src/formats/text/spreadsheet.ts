/** What a spreadsheet would take for a formula when it opens a file; led by an apostrophe it stays a text. */
export const FORMULA = /^[=+\-@\t\r]/;

/** A text of a table without the apostrophe that kept it from being run. */
export const withoutApostrophe = (text: string): string =>
  text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text;
