import { readFileSync } from 'node:fs';
import path from 'node:path';
import { setText } from '@/core/text/layout';
import type { TextStyle } from '@/core/text/style';
import { EM } from '@/render/em';
import {} from '@/render/shape';
import { serverFonts } from './fonts';

const HASH = 'a'.repeat(64);
const FACE = `font:${HASH}` as const;
const bytes = readFileSync(
  path.resolve('node_modules/@fontsource/markazi-text/files/markazi-text-arabic-400-normal.woff2'),
);
const shipped = serverFonts();
const fonts = shipped.with(new Map([[HASH, bytes]]));

/** Left and right end of each closed stretch of an outline, in the order in which they are drawn. */
const stretches = (outline: string) =>
  outline
    .split(/(?=M)/)
    .filter(Boolean)
    .map((part) => {
      const xs = [...part.matchAll(/(-?[\d.]+)[ ,](-?[\d.]+)/g)].map(([, x]) => Number(x) / EM);
      return { left: Math.min(...xs), right: Math.max(...xs) };
    });

describe('letters of several files', () => {
  it('leave a space to the first family that has it, as a browser does', () => {
    const { width } = shipped;
    const alone = width('Ελλάδα', 'sans-400') + width(' AVATAR', 'sans-400');
    expect(width('Ελλάδα AVATAR', 'sans-400')).toBeCloseTo(alone, 9);
  });

  it('come from an imported font first, and from the shipped ones where it has none', () => {
    expect(fonts.missing('سلام Ferry Ωμ', FACE)).toEqual([]);
    expect(shipped.missing('سلام', 'sans-400')).toEqual(['س', 'ل', 'ا', 'م']);
    expect(fonts.has(FACE)).toBe(true);
    expect(shipped.has(FACE)).toBe(false);
    expect(() => shipped.width('a', FACE)).toThrow('not loaded yet');
    expect(fonts.with(new Map()).width('سلام', FACE)).toBe(fonts.width('سلام', FACE));
  });
});

describe('what no font has', () => {
  it('is drawn as one box a letter, however many characters that is, and everything else stays', () => {
    const family = '👨‍👩‍👧';
    expect(shipped.missing(`a ${family} b ${family}`, 'sans-400')).toEqual([family]);
    const box = shipped.width(family, 'sans-400');
    expect(box).toBeCloseTo(0.62, 9);
    const around = shipped.width('Ferry ', 'sans-400') + box;
    expect(shipped.width(`Ferry ${family}`, 'sans-400')).toBeCloseTo(around, 9);
    const drawn = stretches(shipped.outline(`i${family}`, 'sans-400', 'ltr'));
    const [outer, inner] = drawn.slice(-2);
    expect(outer!.left).toBeGreaterThan(shipped.width('i', 'sans-400'));
    expect(outer!.right).toBeLessThan(shipped.width(`i${family}`, 'sans-400'));
    expect(inner!.left).toBeGreaterThan(outer!.left);
    expect(inner!.right).toBeLessThan(outer!.right);
  });

  it('does not count joiners, marks that a font composes, or line breaks', () => {
    expect(shipped.missing('e\u0301\u200d\n\u00ad', 'sans-400')).toEqual([]);
  });
});

describe('text from right to left', () => {
  it('joins its letters: they are narrower together than apart', () => {
    const apart = [...'سلام'].reduce((sum, l) => sum + fonts.width(l, FACE), 0);
    expect(fonts.width('سلام', FACE)).toBeLessThan(apart * 0.9);
  });

  it('is read by its first letter, and stands in the order of Unicode', () => {
    expect(fonts.reading('سلام Ferry')).toBe('rtl');
    expect(fonts.reading('12 — Ferry سلام')).toBe('ltr');
    // A Latin word in an Arabic line stands at its left end, where the line is read to last.
    const one = stretches(fonts.outline('I', FACE, 'ltr'))[0]!;
    const inLine = (text: string, reading: 'ltr' | 'rtl') => {
      const all = stretches(fonts.outline(text, FACE, reading));
      const width = one.right - one.left;
      return all.find((s) => Math.abs(s.right - s.left - width) < 1e-6)!;
    };
    const arabic = fonts.width('سلام ', FACE);
    expect(inLine('سلام I', 'rtl').left).toBeCloseTo(one.left, 6);
    expect(inLine('سلام I', 'ltr').left).toBeCloseTo(one.left + arabic, 6);
  });

  it('turns brackets about', () => {
    const [open, close] = ['(', ')'].map((b) => fonts.outline(b, FACE, 'ltr'));
    expect(fonts.outline('(', FACE, 'rtl')).toBe(close);
    expect(fonts.outline(')', FACE, 'rtl')).toBe(open);
  });

  it('ends its lines where it may, each with the reading of its paragraph', () => {
    const style: TextStyle = {
      font: FACE,
      weight: 400,
      size: 20,
      lineHeight: 1.4,
      colour: { light: '#000000' },
      align: { x: 'end', y: 'start' },
    };
    const block = setText(
      'سلام دنیا\nFerry',
      style,
      Math.max(fonts.width('سلام ', FACE), fonts.width('Ferry', FACE)) * 20,
      fonts,
    );
    expect(block.lines.map((l) => [l.text, l.reading])).toEqual([
      ['سلام', 'rtl'],
      ['دنیا', 'rtl'],
      ['Ferry', 'ltr'],
    ]);
  });
});

it('lines may end after a hyphen and a space, not inside a number or before a bracket that closes', () => {
  expect(shipped.breaks('sea-view')).toEqual([4, 8]);
  expect(shipped.breaks('12,50 EUR')).toEqual([6, 9]);
  expect(shipped.breaks('foo (bar)')).toEqual([4, 9]);
  expect(shipped.breaks('日本語')).toEqual([1, 2, 3]);
});
