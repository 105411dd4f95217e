import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Scene } from '@/core/scene/scene';
import { fontHash, type FONTS, type TextStyle } from '@/core/text/style';
import { familyOf } from '@/formats/css/layer';
import type { FontFace } from '@/formats/css/page';
import { SUBSETS } from '@/render/fonts';
import { dataAddress } from './data-address';
import { fontFile, FONT_FAMILIES } from '../fonts/fonts';
import { productFolder } from '../settings';

type Ranges = Record<string, string>;

/** Which letters are in each part of a family, as CSS says it. */
function rangesOf(font: (typeof FONTS)[number]): Ranges {
  const folder = path.join(productFolder(), 'node_modules', '@fontsource', FONT_FAMILIES[font]);
  return JSON.parse(readFileSync(path.join(folder, 'unicode.json'), 'utf8')) as Ranges;
}

/** Whether a text has a letter of a range such as `U+0370-0377,U+037A`. */
function hasAny(text: string, range: string): boolean {
  const parts = range.split(',').map((part) => {
    const [low, high] = part.trim().slice(2).split('-');
    return [parseInt(low!, 16), parseInt(high ?? low!, 16)] as const;
  });
  return [...text].some((letter) => {
    const code = letter.codePointAt(0)!;
    return parts.some(([low, high]) => code >= low && code <= high);
  });
}

function shippedFaces(font: (typeof FONTS)[number], weight: TextStyle['weight'], text: string): FontFace[] {
  const ranges = rangesOf(font);
  const needed = SUBSETS.filter((s) => hasAny(text, ranges[s]!));
  return needed.map((subset) => ({
    family: familyOf(font),
    weight,
    src: dataAddress(fontFile(`${font}-${weight}`, subset), 'font/woff'),
    unicodeRange: ranges[subset]!,
  }));
}

/**
 * The fonts that the texts of a scene are written with, each as an address that holds the file itself; only the parts that
 * have any of its letters.
 * @param read the bytes of an imported font, by its hash
 */
export function pageFaces({ layers }: Scene, read: (hash: string) => Buffer): FontFace[] {
  const texts = layers.filter((l) => l.kind === 'text');
  const faces = new Map<string, { style: TextStyle; text: string }>();
  for (const { style, text } of texts) {
    const key = `${style.font} ${fontHash(style.font) ? '' : style.weight}`;
    faces.set(key, { style, text: `${faces.get(key)?.text ?? ''}${text}…` });
  }
  return [...faces.values()].flatMap(({ style, text }) => {
    const hash = fontHash(style.font);
    if (hash)
      return [{ family: familyOf(style.font), weight: 400, src: dataAddress(read(hash), 'font/ttf') }];
    return shippedFaces(style.font as (typeof FONTS)[number], style.weight, text);
  });
}
