// What is used of packages that come without types.

declare module 'linebreak' {
  /** Unicode Standard Annex 14 */
  export default class LineBreaker {
    constructor(text: string);
    /** `null` after the last one, which is the end of the text */
    nextBreak(): { position: number; required: boolean } | null;
  }
}

declare module 'bidi-js' {
  export interface Bidi {
    /** Unicode Standard Annex 9, up to L1 */
    getEmbeddingLevels(
      text: string,
      base?: 'ltr' | 'rtl' | 'auto',
    ): { levels: Uint8Array; paragraphs: { start: number; end: number; level: number }[] };
    /** `null` of a character that has no mirror image */
    getMirroredCharacter(character: string): string | null;
  }
  export default function create(): Bidi;
}
