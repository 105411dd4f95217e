import { paintColours, type Paint } from '@/core/values/paint';
import { resolveColour, type Appearance, type NamedValue } from '@/core/values/values';

interface Props {
  paint: Paint;
  named: readonly NamedValue[];
  appearance: Appearance;
}

/** A colour as a small square; of a gradient its colours side by side. The words beside it say the same. */
export function Swatch({ paint, named, appearance }: Props) {
  const colours = paintColours(paint).map((c) => resolveColour(c, appearance, named));
  const background =
    colours.length > 1 ? `linear-gradient(to right, ${colours.join(', ')})` : (colours[0] ?? 'none');
  return <span className="swatch" style={{ background }} />;
}
