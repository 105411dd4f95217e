/** Lines and columns of text, as a file of screens has them. */
export interface Table {
  columns: string[];
  /** what stands in each column, and on which line of the file */
  rows: { line: number; cells: string[] }[];
}

/** What can stand in a column. */
export const FIELDS = [
  'name',
  'size',
  'width',
  'height',
  'density',
  'weight',
  'top',
  'right',
  'bottom',
  'left',
] as const;
export type Field = (typeof FIELDS)[number];

export const FIELD_WORDS: Record<Field, string> = {
  name: 'name',
  size: 'width × height in one',
  width: 'width',
  height: 'height',
  density: 'px per lu',
  weight: 'users, or another weight',
  top: 'inset at the top',
  right: 'inset at the right',
  bottom: 'inset at the bottom',
  left: 'inset at the left',
};

/** Which column each field is read from; `null` from none. */
export type Mapping = Record<Field, number | null>;

/** What columns are likely to be called, the more certain first. */
const NAMES: Record<Field, RegExp[]> = {
  size: [/^(screen )?(size|resolution|viewport)$/, /width ?[x×*] ?height/],
  width: [/^(screen |viewport )?width( (px|lu|dp|pt))?$/, /^w$/, /width/],
  height: [/^(screen |viewport )?height( (px|lu|dp|pt))?$/, /^h$/, /height/],
  density: [/^(density|scale|dpr|pixel ratio|px per lu)$/, /density|ratio|scale/],
  weight: [/^(weight|users|active users|count|sessions|share)$/, /user|session|visit|count|share|weight/],
  top: [/^(inset )?top$/, /top/],
  right: [/^(inset )?right$/, /right/],
  bottom: [/^(inset )?bottom$/, /bottom/],
  left: [/^(inset )?left$/, /left/],
  name: [/^(name|label|screen)$/, /name|label|screen|class/],
};

const plain = (column: string) =>
  column
    .toLowerCase()
    .replace(/[_\-.]+/g, ' ')
    .trim();

/** Which column is most likely which field; no column is taken twice. */
export function guessMapping(columns: readonly string[]): Mapping {
  const mapping = Object.fromEntries(FIELDS.map((f) => [f, null])) as Mapping;
  const taken = new Set<number>();
  for (const certain of [0, 1])
    for (const field of Object.keys(NAMES) as Field[]) {
      if (mapping[field] !== null || !NAMES[field][certain]) continue;
      const at = columns.findIndex((c, i) => !taken.has(i) && NAMES[field][certain]!.test(plain(c)));
      if (at < 0) continue;
      mapping[field] = at;
      taken.add(at);
    }
  return mapping;
}
