/** Something of which only the browser knows how long it is, as CSS names it. */
interface Term {
  by: number;
  /** whether it cannot be negative */
  atLeastZero: boolean;
}

/** Less than this of a px, or of a factor, is the rounding of a division. */
const ROUNDING = 1e-9;

/** Six digits behind the point: over a whole screen that is a thousandth of a px. */
const digits = (value: number): string => String(Math.round(value * 1e6) / 1e6);

const isOne = (by: number) => Math.abs(by - 1) < ROUNDING;

/**
 * A length as CSS writes it: a number of px, and multiples of lengths that the browser works out. 1 lu is 1 px of CSS.
 * Whatever can be added up here is added up, so that what is written is as short as it can be.
 */
export class Sum {
  private constructor(
    readonly px: number,
    private readonly terms: ReadonlyMap<string, Term>,
  ) {}

  static px(value: number): Sum {
    return new Sum(value, new Map());
  }

  /** @param css such as `var(--safe-width)` @param atLeastZero whether it cannot be negative */
  static of(css: string, atLeastZero = false): Sum {
    return new Sum(0, new Map([[css, { by: 1, atLeastZero }]]));
  }

  /** The smallest, or the largest, of several. @param all at least one */
  private static most(word: 'min' | 'max', all: readonly Sum[]): Sum {
    const isMin = word === 'min';
    // Of those that differ by a number of px alone, one is left.
    const alike = new Map<string, Sum>();
    for (const s of all) {
      const key = s.minus(Sum.px(s.px)).inside();
      const other = alike.get(key);
      if (!other || (isMin ? s.px < other.px : s.px > other.px)) alike.set(key, s);
    }
    const others = [...alike.values()].filter((s) => !s.isPlain);
    const bound = [...alike.values()].filter((s) => s.isPlain);
    // What is not negative is already at least nothing.
    const kept = isMin ? bound : bound.filter((b) => b.px > 0 || !others.some((s) => s.isAtLeastZero));
    const parts = [...others, ...kept];
    if (parts.length === 1) return parts[0]!;
    const css = `${word}(${parts.map((s) => s.inside()).join(', ')})`;
    const test = (s: Sum) => s.isAtLeastZero;
    return Sum.of(css, isMin ? parts.every(test) : parts.some(test));
  }

  static min = (all: readonly Sum[]): Sum => Sum.most('min', all);
  static max = (all: readonly Sum[]): Sum => Sum.most('max', all);

  /** Whether it is a number of px alone. */
  get isPlain(): boolean {
    return this.terms.size === 0;
  }

  get isAtLeastZero(): boolean {
    return this.px >= 0 && [...this.terms.values()].every((t) => t.by >= 0 && t.atLeastZero);
  }

  /** Whether it is always greater than nothing, as far as that can be told from how it is written. */
  get isPositive(): boolean {
    return this.isAtLeastZero && this.px > 0;
  }

  /** Whether any of what it is made of begins like this. */
  mentions = (start: string): boolean => [...this.terms.keys()].some((css) => css.includes(start));

  /** Its terms in which something stands, and all the rest with its px. */
  split(part: string): { with: Sum; without: Sum } {
    const terms = [...this.terms];
    const has = ([css]: (typeof terms)[number]) => css.includes(part);
    return {
      with: new Sum(0, new Map(terms.filter(has))),
      without: new Sum(this.px, new Map(terms.filter((t) => !has(t)))),
    };
  }

  plus(other: Sum): Sum {
    const terms = new Map(this.terms);
    for (const [css, { by, atLeastZero }] of other.terms) {
      const sum = (terms.get(css)?.by ?? 0) + by;
      if (Math.abs(sum) < ROUNDING) terms.delete(css);
      else terms.set(css, { by: sum, atLeastZero });
    }
    return new Sum(this.px + other.px, terms);
  }

  minus = (other: Sum): Sum => this.plus(other.times(-1));

  /** @param by a number, or what CSS has for one, such as `var(--emblem-shape)` or `1 / var(--emblem-shape)` */
  times(by: number | string): Sum {
    if (typeof by === 'string')
      return this.isPlain && Math.abs(this.px) < ROUNDING
        ? this
        : Sum.of(`${this.factor()} ${by.startsWith('1 / ') ? by.slice(2) : `* ${by}`}`, this.isAtLeastZero);
    if (by === 0) return Sum.px(0);
    const terms = [...this.terms].map(([css, t]) => [css, { ...t, by: t.by * by }] as const);
    return new Sum(this.px * by, new Map(terms));
  }

  /** Each term with its sign, the positive ones first. */
  private written(): { sign: 1 | -1; css: string }[] {
    const terms = [...this.terms].map(([css, { by }]) => {
      const size = Math.abs(by);
      return { sign: by < 0 ? (-1 as const) : (1 as const), css: isOne(size) ? css : times(css, size) };
    });
    if (Math.abs(this.px) >= ROUNDING || terms.length === 0)
      terms.push({ sign: this.px < 0 ? -1 : 1, css: `${digits(Math.abs(this.px))}px` });
    return terms.toSorted((a, b) => b.sign - a.sign);
  }

  /** As it stands inside of `calc()`, `min()` and the like. */
  inside(): string {
    const [first, ...rest] = this.written();
    // CSS has no sign in front of a function.
    const start = first!.sign < 0 ? negative(first!.css) : first!.css;
    return rest.reduce((css, t) => `${css} ${t.sign < 0 ? '-' : '+'} ${t.css}`, start);
  }

  private factor = (): string => (this.written().length > 1 ? `(${this.inside()})` : this.inside());

  /** As the value of a property. */
  css(): string {
    const css = this.inside();
    const isSimple = /^(-?[\d.]+px|[a-z-]+\((?:[^()]|\((?:[^()]|\([^()]*\))*\))*\))$/.test(css);
    return isSimple ? css : `calc(${css})`;
  }
}

const isRound = (value: number, steps: number) =>
  Math.abs(value * steps - Math.round(value * steps)) < ROUNDING * steps;

/** Halves, thirds and shapes are divided by, where that is what reads as it was meant. */
function times(css: string, by: number): string {
  const inverse = 1 / by;
  const isDivision = by < 1 && (isRound(inverse, 1) || (!isRound(by, 1000) && isRound(inverse, 1000)));
  return isDivision ? `${css} / ${digits(inverse)}` : `${css} * ${digits(by)}`;
}

const negative = (css: string) => (/^[\d.]+px$/.test(css) ? `-${css}` : `-1 * ${css}`);

/** A number as CSS writes it. */
export const cssNumber = digits;
