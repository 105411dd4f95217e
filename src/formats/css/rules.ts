/** Declarations by selector and property, in the order in which they were said. */
export class Rules {
  private readonly kept = new Map<string, Map<string, string>>();

  add(selector: string, declarations: Readonly<Record<string, string | null | undefined | false>>): this {
    let rule = this.kept.get(selector);
    if (!rule) this.kept.set(selector, (rule = new Map()));
    for (const [property, value] of Object.entries(declarations)) if (value) rule.set(property, value);
    return this;
  }

  get isEmpty(): boolean {
    return [...this.kept.values()].every((rule) => rule.size === 0);
  }

  /** What has to be said besides another set of rules, so that these hold instead. */
  besides(base: Rules): Rules {
    const more = new Rules();
    for (const [selector, rule] of this.kept) {
      const was = base.kept.get(selector);
      // What is taken back comes first, as it may be short for what is said.
      for (const property of was?.keys() ?? [])
        if (!rule.has(property)) more.add(selector, { [property]: 'unset' });
      for (const [property, value] of rule)
        if (was?.get(property) !== value) more.add(selector, { [property]: value });
    }
    return more;
  }

  valueOf = (selector: string, property: string): string | undefined =>
    this.kept.get(selector)?.get(property);

  /** Of one selector, the properties of a set. */
  only(selector: string, properties: ReadonlySet<string>): Rules {
    const rule = [...(this.kept.get(selector) ?? [])].filter(([property]) => properties.has(property));
    return new Rules().add(selector, Object.fromEntries(rule));
  }

  /** All of both, what the other says last. */
  with(other: Rules): this {
    for (const [selector, rule] of other.kept) this.add(selector, Object.fromEntries(rule));
    return this;
  }

  css(indent = ''): string {
    return [...this.kept]
      .filter(([, rule]) => rule.size > 0)
      .map(([selector, rule]) => {
        const lines = [...rule].map(([property, value]) => `${indent}  ${property}: ${value};\n`);
        return `${indent}${selector} {\n${lines.join('')}${indent}}\n`;
      })
      .join('');
  }
}

/** Rules that hold where all of some conditions do; everywhere without any. */
export interface Block {
  /** such as `@container screen (orientation: landscape)` */
  where: readonly string[];
  rules: Rules;
}

export function blockCss({ where, rules }: Block): string {
  if (rules.isEmpty) return '';
  const indent = where.map(() => '  ').join('');
  const opened = where.map((w, i) => `${'  '.repeat(i)}${w} {\n`).join('');
  const closed = where.map((_, i) => `${'  '.repeat(where.length - 1 - i)}}\n`).join('');
  return `${opened}${rules.css(indent)}${closed}`;
}
