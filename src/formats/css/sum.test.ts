import fc from 'fast-check';
import { Sum } from './sum';

const width = Sum.of('var(--safe-width)', true);
const left = Sum.of('var(--safe-x)');

describe('lengths of CSS', () => {
  it('adds up what can be added up, and writes the rest as short as it can', () => {
    expect(Sum.px(12).plus(Sum.px(-2.5)).css()).toBe('9.5px');
    expect(width.times(0.4).css()).toBe('calc(var(--safe-width) * 0.4)');
    expect(width.times(0.5).css()).toBe('calc(var(--safe-width) / 2)');
    expect(left.plus(width.times(0.5)).minus(Sum.px(40)).css()).toBe(
      'calc(var(--safe-x) + var(--safe-width) / 2 - 40px)',
    );
    expect(left.plus(width).minus(left).css()).toBe('var(--safe-width)');
    expect(left.minus(left).css()).toBe('0px');
  });

  it('begins with what is added, and turns a sign around where there is only something to take away', () => {
    expect(Sum.px(-4).minus(left).css()).toBe('calc(-1 * var(--safe-x) - 4px)');
    expect(Sum.px(0).minus(left).css()).toBe('calc(-1 * var(--safe-x))');
    expect(left.times(-1).plus(Sum.px(3)).css()).toBe('calc(3px - var(--safe-x))');
  });

  it('leaves out of a smallest and a largest what can never be it', () => {
    expect(Sum.min([Sum.px(3), Sum.px(5)]).css()).toBe('3px');
    expect(Sum.max([Sum.px(0), width]).css()).toBe('var(--safe-width)');
    expect(Sum.max([Sum.px(0), left]).css()).toBe('max(var(--safe-x), 0px)');
    expect(Sum.min([width.times(0.4), Sum.px(220)]).css()).toBe('min(var(--safe-width) * 0.4, 220px)');
    expect(Sum.max([Sum.px(0), Sum.min([width, Sum.px(20)])]).css()).toBe('min(var(--safe-width), 20px)');
  });

  it('multiplies by numbers that CSS holds', () => {
    expect(Sum.px(66).times('1 / var(--shape)').css()).toBe('calc(66px / var(--shape))');
    expect(left.plus(width).times('var(--shape)').css()).toBe(
      'calc((var(--safe-x) + var(--safe-width)) * var(--shape))',
    );
    expect(Sum.px(0).times('var(--shape)').css()).toBe('0px');
  });

  it('comes to the same number as sums do', () => {
    const number = fc.integer({ min: -400, max: 400 });
    /** What a browser makes of a sum when the two lengths are of these sizes. */
    const value = (css: string, x: number, w: number) =>
      Number(
        // The arithmetic of CSS, without its units, is that of the language.
        new Function(
          'min',
          'max',
          `return ${css.replaceAll('calc', '').replaceAll('px', '').replaceAll('var(--safe-x)', `(${x})`).replaceAll('var(--safe-width)', `(${w})`)}`,
        )(Math.min, Math.max),
      );
    fc.assert(
      fc.property(number, number, number, number, fc.integer({ min: 0, max: 400 }), (a, b, c, x, w) => {
        const made = left
          .times(a / 8)
          .plus(Sum.max([Sum.px(b), width.minus(left)]))
          .minus(width.times(c / 3));
        const meant = (x * a) / 8 + Math.max(b, w - x) - (w * c) / 3;
        expect(value(made.css(), x, w)).toBeCloseTo(meant, 2);
      }),
    );
  });
});
