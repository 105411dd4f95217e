import { sayNumber } from '../words/numbers';
import { worked } from '../words/worked';
import type { Axis } from '../geometry/rect';
import { AXIS_WORDS } from '../sentences/words';
import type { AskedLayer, Context } from './context';
import { reason, type Reason } from './reason';

/** The natural size of a picture, down to its file; of a text, its widest line or its lines. */
export function whyNatural(context: Context, asked: AskedLayer, axis: Axis): Reason {
  const word = AXIS_WORDS[axis].extent;
  const { layer, placeable } = asked;
  const choice = context.prepared.chosen.get(layer.id);
  const part = layer.kind === 'picture' ? { layerId: layer.id, path: ['picture'] } : undefined;
  if (choice && placeable.natural) {
    const { rendition } = choice;
    const px = axis === 'x' ? rendition.widthPx : rendition.heightPx;
    const { given, result } = worked([px, { value: rendition.density, least: 3 }], (a, b) => a / b);
    return reason(
      `The natural ${word} of ${layer.name} is ${result}: ${given[0]} px in its file ÷ ${given[1]} px per lu.`,
      [],
      { part },
    );
  }
  const size = sayNumber(context.prepared.laid().resolver.sizes.own(placeable, axis) ?? 0);
  return reason(
    axis === 'x'
      ? `The widest line of ${layer.name} takes ${size}.`
      : `The lines of ${layer.name} take ${size} together.`,
    [],
    { part: { layerId: layer.id, path: ['style'] } },
  );
}
