import type { Paint } from '@/core/values/paint';
import { plainOf, resolveColour, type Appearance, type Colour, type NamedValue } from '@/core/values/values';
import { cssNumber } from './sum';

/** Colours as CSS writes them. Named ones go by the custom property that the scene declares for them. */
export class Colours {
  /** @param properties the custom property of each named colour, by id */
  constructor(
    private readonly named: readonly NamedValue[],
    private readonly properties: ReadonlyMap<string, string>,
  ) {}

  colour(colour: Colour, appearance: Appearance): string {
    const property = 'named' in colour ? this.properties.get(colour.named) : undefined;
    return property ? `var(${property})` : resolveColour(colour, appearance, this.named);
  }

  /** Source: CSS Images 3 §3.1 and §3.2, as which gradients are drawn here. */
  paint(paint: Paint, appearance: Appearance): string {
    if (!('gradient' in paint)) return this.colour(paint, appearance);
    const stops = paint.stops
      .map((s) => `${this.colour(s.colour, appearance)} ${cssNumber(s.at)}%`)
      .join(', ');
    if (paint.gradient === 'linear') return `linear-gradient(${cssNumber(paint.angle)}deg, ${stops})`;
    const { x, y } = paint.centre;
    return `radial-gradient(circle farthest-corner at ${cssNumber(x)}% ${cssNumber(y)}%, ${stops})`;
  }
}

/** The plain colour that a named value stands for; `null` for a length. */
export function namedColour(value: NamedValue, named: readonly NamedValue[]) {
  const plain = plainOf(value.id, named);
  return plain && 'light' in plain ? plain : null;
}
