/** Letters by which a script is told: a font that has them all can write it. Names are those of Unicode. */
const SCRIPTS: Record<string, string> = {
  Latin: 'aegnoZ',
  Greek: 'αεΩ',
  Cyrillic: 'абЯ',
  Armenian: 'ԱԲա',
  Georgian: 'აბგ',
  Hebrew: 'אבש',
  Arabic: 'ابمي',
  Devanagari: 'कमन',
  Bengali: 'কমন',
  Gurmukhi: 'ਕਮਨ',
  Gujarati: 'કમન',
  Tamil: 'கமன',
  Telugu: 'కమన',
  Kannada: 'ಕಮನ',
  Malayalam: 'കമന',
  Sinhala: 'කමන',
  Thai: 'กขน',
  Lao: 'ກຂນ',
  Khmer: 'កខន',
  Myanmar: 'ကခန',
  Ethiopic: 'ሀለሐ',
  Hangul: '가나다',
  Hiragana: 'あいの',
  Katakana: 'アイノ',
  Han: '一中水',
};

/** The code points of all of these letters. */
export const SCRIPT_LETTERS: readonly number[] = Object.values(SCRIPTS).flatMap((letters) =>
  [...letters].map((l) => l.codePointAt(0)!),
);

/** What a font can write. @param has whether it has a letter for a code point */
export const scriptsOf = (has: (codePoint: number) => boolean): string[] =>
  Object.entries(SCRIPTS).flatMap(([script, letters]) =>
    [...letters].every((l) => has(l.codePointAt(0)!)) ? [script] : [],
  );
