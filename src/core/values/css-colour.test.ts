import fc from 'fast-check';
import { HexColour } from '@/core/values/values';
import { alphaOf, readColour, withAlpha } from './css-colour';

describe('a colour as it is typed', () => {
  // Values that CSS Color 4 gives: names in §6.1, hexadecimal in §5.2, and its sample code.
  it.each([
    ['white', '#ffffff'],
    ['RebeccaPurple', '#663399'],
    ['#fff', '#ffffff'],
    ['fff', '#ffffff'],
    ['#0f08', '#00ff0088'],
    ['12303b', '#12303b'],
    ['rgb(255 255 255 / 70%)', '#ffffffb3'],
    ['rgba(255, 0, 0, 0.5)', '#ff000080'],
    ['hsl(120 100% 25%)', '#008000'],
    ['hwb(150 20% 10%)', '#33e68c'],
    ['oklch(51.975% 0.17686 142.495)', '#008000'],
    ['oklab(51.975% -0.1403 0.10768)', '#008000'],
    ['lab(46.2775% -47.5621 48.5837)', '#008000'],
    ['transparent', '#00000000'],
    ['  navy ', '#000080'],
  ])('%s', (typed, hex) => {
    expect(readColour(typed)).toEqual({ hex, isMapped: false });
  });

  it('beyond sRGB is said to be, and the nearest is taken', () => {
    const green = readColour('color(display-p3 0 1 0)')!;
    expect(green.isMapped).toBe(true);
    expect(HexColour.safeParse(green.hex).success).toBe(true);
  });

  it.each(['', 'whitish', '#12345', 'rgb(1 2)', 'url(x)'])('“%s” is none', (typed) => {
    expect(readColour(typed)).toBeNull();
  });

  it('that is kept is read as it is', () => {
    const hex = fc.stringMatching(/^#[0-9a-f]{6}([0-9a-f]{2})?$/);
    fc.assert(
      fc.property(hex, (kept) => {
        const opaque = kept.length === 9 && kept.endsWith('ff') ? kept.slice(0, 7) : kept;
        expect(readColour(kept)).toEqual({ hex: opaque, isMapped: false });
        expect(withAlpha(kept, alphaOf(kept))).toBe(opaque);
      }),
    );
  });

  it('keeps its red, green and blue under another alpha', () => {
    expect(withAlpha('#12303b', 0.5)).toBe('#12303b80');
    expect(withAlpha('#12303b80', 1)).toBe('#12303b');
    expect(withAlpha('#12303b', -1)).toBe('#12303b00');
    expect(alphaOf('#12303b80')).toBeCloseTo(0.502, 3);
  });
});
