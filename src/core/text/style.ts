import { z } from 'zod';
import { Hash } from '../pictures/picture';
import { Colour } from '../values/values';
import { documentObject } from '../values/object';

/** The fonts that come with the product. */
export const FONTS = ['sans', 'serif'] as const;

/** A font that was imported into the project, by the SHA-256 of its file. */
export const ImportedFont = z.templateLiteral(['font:', Hash]);
export type ImportedFont = z.infer<typeof ImportedFont>;
export const WEIGHTS = [400, 700] as const;
const Place = z.enum(['start', 'middle', 'end']);

export const TextStyle = z.strictObject({
  font: z.union([z.enum(FONTS), ImportedFont]),
  /** of the fonts that come with the product; an imported one has the weight that it has */
  weight: z.union([z.literal(400), z.literal(700)]),
  /** font size, lu */
  size: z.number().positive().max(1000),
  /** distance from line to line ÷ font size */
  lineHeight: z.number().positive().max(10),
  colour: Colour,
  /** of the lines in the box; `start` is left and top */
  align: z.strictObject({ x: Place, y: Place }),
  /** what is over ends with an ellipsis */
  maxLines: z.int().positive().optional(),
  /** the font size down to which it may shrink to fit its box, lu; it never shrinks without one */
  shrinkTo: z.number().positive().optional(),
});
export type TextStyle = z.infer<typeof TextStyle>;

export type ShippedFace = `${(typeof FONTS)[number]}-${TextStyle['weight']}`;
/** What letters are taken from. */
export type Face = ShippedFace | ImportedFont;

const isImported = (name: string): name is ImportedFont => name.startsWith('font:');
/** The hash of the file of an imported font; `null` of one that comes with the product. */
export const fontHash = (name: Face | TextStyle['font']): string | null =>
  isImported(name) ? name.slice('font:'.length) : null;

export const faceOf = ({ font, weight }: Pick<TextStyle, 'font' | 'weight'>): Face =>
  isImported(font) ? font : `${font}-${weight}`;
export const FACES: readonly ShippedFace[] = FONTS.flatMap((font) =>
  WEIGHTS.map((weight) => `${font}-${weight}` as const),
);

/** A font of the project’s own, as it is called and what it can write. */
export const ProjectFont = documentObject({
  hash: Hash,
  name: z.string().min(1).max(120),
  /** “Latin”, “Arabic”, as far as it is known */
  scripts: z.array(z.string().max(40)).max(60),
});
export type ProjectFont = z.infer<typeof ProjectFont>;

/** Factor of the type’s size from line to line that a text is added with; a sentence says another one. */
export const USUAL_LINE = 1.3;
