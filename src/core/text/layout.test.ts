import fc from 'fast-check';
import { halfWide } from '../testing/fonts';
import { fitsFreely, setText, type TextMetrics } from './layout';
import type { TextStyle } from './style';

const style = (more: Partial<TextStyle> = {}): TextStyle => ({
  font: 'sans',
  weight: 400,
  size: 10,
  lineHeight: 1.5,
  colour: { light: '#000000' },
  align: { x: 'start', y: 'start' },
  ...more,
});
/** Every letter is 5 lu wide. */
const set = (text: string, within: number, more: Partial<TextStyle> = {}, height?: number) =>
  setText(text, style(more), within, halfWide, height);
const lines = (text: string, within: number, more: Partial<TextStyle> = {}) =>
  set(text, within, more).lines.map((l) => l.text);

describe('a text in lines', () => {
  it('is as wide as its widest line and as high as its lines together', () => {
    expect(set('one\nthree', Infinity)).toMatchObject({
      width: 25,
      height: 30,
      fontSize: 10,
      shortened: false,
    });
    expect(set('', 100)).toMatchObject({ width: 0, height: 0 });
  });

  it('breaks at line breaks, at spaces, and then anywhere', () => {
    expect(lines('the winter ferry', 50)).toEqual(['the winter', 'ferry']);
    expect(lines('the winter ferry', 49)).toEqual(['the', 'winter', 'ferry']);
    expect(lines('a\nlighthouse', 20)).toEqual(['a', 'ligh', 'thou', 'se']);
    expect(lines('in lighthouses', 20)).toEqual(['in', 'ligh', 'thou', 'ses']);
  });

  it('breaks after a hyphen, and shows a soft one only where it breaks', () => {
    expect(lines('sea-view', 20)).toEqual(['sea-', 'view']);
    expect(lines('sea-view', 40)).toEqual(['sea-view']);
    const soft: TextMetrics = {
      ...halfWide,
      width: (s) => [...s].length * 0.5,
      breaks: (s) => [...s.matchAll(/\u00ad/g)].map((m) => m.index + 1),
    };
    const inRoom = (within: number) =>
      setText('light\u00adhouse', style(), within, soft).lines.map((l) => l.text);
    expect(inRoom(50)).toEqual(['lighthouse']);
    expect(inRoom(40)).toEqual(['light-', 'house']);
  });

  it('leaves out the spaces that a line was broken at, and keeps those in it', () => {
    expect(lines('the  winter   ferry', 55)).toEqual(['the  winter', 'ferry']);
    expect(set('a  b', Infinity).width).toBe(20);
  });

  it('has no empty line where its room is narrower than a letter: a space hangs behind the one before it', () => {
    expect(lines('a b', 3)).toEqual(['a', 'b']);
    expect(lines('ab  cd ', 3)).toEqual(['a', 'b', 'c', 'd']);
    expect(lines('a \n\nb', 3)).toEqual(['a', '', 'b']);
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('a', 'ship', 'ferry'), { minLength: 1, maxLength: 5 }),
        fc.constantFrom(' ', '  '),
        fc.integer({ min: 0, max: 30 }),
        (words, space, within) => {
          const said = lines(words.join(space), within);
          expect(said.filter((l) => l.trim() === '')).toEqual([]);
          expect(said.join('').replaceAll(' ', '')).toBe(words.join(''));
        },
      ),
    );
  });

  it('keeps a character whole that is made of several', () => {
    const family = 'e\u0301';
    expect(lines(`${family}${family}${family}`, 10)).toEqual([family, family, family]);
  });

  it('ends with an ellipsis where it has more lines than it may', () => {
    expect(lines('the winter ferry leaves', 50, { maxLines: 2 })).toEqual(['the winter', 'ferry…']);
    expect(lines('the winter ferry', 50, { maxLines: 1 })).toEqual(['the winte…']);
    expect(set('the winter ferry', 50, { maxLines: 1 }).shortened).toBe(true);
    expect(set('the winter', 50, { maxLines: 1 }).shortened).toBe(false);
  });

  it('shrinks to the largest size that fits its box, as far as it may', () => {
    const block = set('the winter ferry', 40, { shrinkTo: 2, maxLines: 1 }, 100);
    expect(block.fontSize).toBeCloseTo(5, 4);
    expect(block).toMatchObject({ shortened: false });
    expect(set('the winter ferry', 4, { shrinkTo: 2, maxLines: 1 }, 100).fontSize).toBe(2);
    expect(set('the winter ferry', 400, { shrinkTo: 2 }, 100).fontSize).toBe(10);
    expect(set('the winter ferry', 40, { maxLines: 1 }, 100).fontSize).toBe(10);
  });

  it('loses no letter and fits its width, wherever one letter does', () => {
    const word = fc.stringMatching(/^[a-z]{1,14}$/);
    fc.assert(
      fc.property(
        fc.array(word, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 5, max: 120 }),
        (words, within) => {
          const block = set(words.join(' '), within);
          expect(
            block.lines
              .map((l) => l.text)
              .join('')
              .replaceAll(' ', ''),
          ).toBe(words.join(''));
          for (const line of block.lines) expect(line.width).toBeLessThanOrEqual(within + 1e-9);
          expect(block.height).toBe(block.lines.length * 15);
        },
      ),
    );
  });

  it('is set in any room that it fits freely just as it is without one', () => {
    const text = fc.stringMatching(/^[a-z]{1,6}([ \n][a-z]{1,6}){0,4}$/);
    const more = fc.record(
      { maxLines: fc.integer({ min: 1, max: 3 }), shrinkTo: fc.integer({ min: 4, max: 12 }) },
      { requiredKeys: [] },
    );
    const height = fc.option(fc.integer({ min: 5, max: 100 }), { nil: undefined });
    const freely = { yes: 0, no: 0 };
    fc.assert(
      fc.property(text, fc.integer({ min: 5, max: 120 }), height, more, (words, within, high, rest) => {
        const free = set(words, Infinity, rest);
        const block = set(words, within, rest, high);
        const is = fitsFreely(free, style(rest), within, high);
        freely[is ? 'yes' : 'no']++;
        if (is) expect(block).toEqual(free);
        // Where it does not, a line breaks, the letters shrink, or what is left out or too much stays so.
        else
          expect(
            block.lines.length > free.lines.length ||
              block.fontSize < 10 ||
              block.shortened ||
              rest.shrinkTo! >= 10,
          ).toBe(true);
      }),
      { numRuns: 500 },
    );
    expect(Math.min(freely.yes, freely.no)).toBeGreaterThan(50);
  });
});
