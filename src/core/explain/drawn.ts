import { paintedRect } from '../fit/tiles';
import { sayNumber, sayRatio, sayTimes } from '../words/numbers';
import { decimalsOfThree, worked } from '../words/worked';
import { distances, extent, type Axis, type Side } from '../geometry/rect';
import { sayFit } from '../sentences/fit';
import { AXIS_WORDS } from '../sentences/words';
import { whyEdge, whyExtent } from './box';
import { drawnLayer, rulePath, sideAt, type AskedLayer, type Context } from './context';
import { whyNatural } from './natural';
import { reason, type Reason } from './reason';

export const AXIS_OF: Record<Side, Axis> = { left: 'x', right: 'x', top: 'y', bottom: 'y' };
export const endOf = (context: Context, side: Side): 'start' | 'end' =>
  sideAt(context, AXIS_OF[side], 'start') === side ? 'start' : 'end';

const fitPart = (context: Context, { layer }: AskedLayer, ...path: string[]) => {
  const rule = rulePath(context, layer.id);
  const when = layer.kind === 'picture' && layer.when?.[Number(rule[1])]?.fit ? rule : [];
  return { layerId: layer.id, path: [...when, 'fit', ...path] };
};

/** Why a picture is drawn at its scale: the fit, the box, and the file. */
export function whyScale(context: Context, asked: AskedLayer): Reason {
  const { layer } = asked;
  const { placement } = drawnLayer(context, layer.id);
  if (layer.kind !== 'picture') return reason(`${layer.name} is drawn as it is.`);
  const { natural, box, scale } = placement;
  const across = sayRatio(box.width / natural.width);
  const down = sayRatio(box.height / natural.height);
  const same = Math.abs(scale.x - scale.y) < 1e-9;
  const given = same ? sayTimes(scale.x) : `${sayTimes(scale.x)} across and ${sayTimes(scale.y)} down`;
  const { size } = layer.fit;
  const sizes = `${sayNumber(natural.width)} × ${sayNumber(natural.height)} in a box of ${sayNumber(box.width)} × ${sayNumber(box.height)}`;
  const fitted = `${layer.name} ${size === 'cover' ? '' : 'is '}${sayFit(layer.fit, context.names)}`;
  const words =
    size === 'natural'
      ? `${fitted}, whatever its box: ${sizes}. A box does not resize a picture that is not told to.`
      : typeof size === 'object'
        ? `${fitted}: ${sizes}, which gives ${given}.`
        : `${fitted}: its box is ${across} of its natural width and ${down} of its natural height, which gives ${given}.`;
  return reason(
    words,
    [
      whyExtent(context, asked, 'x'),
      whyExtent(context, asked, 'y'),
      whyNatural(context, asked, 'x'),
      whyNatural(context, asked, 'y'),
    ],
    { part: fitPart(context, asked) },
  );
}

export function whyDrawn(context: Context, asked: AskedLayer, axis: Axis): Reason {
  const { placement } = drawnLayer(context, asked.layer.id);
  const drawn = extent(placement.drawn, axis);
  const screen = extent(context.prepared.regions.screen, axis);
  const word = AXIS_WORDS[axis].extent;
  const larger = drawn > screen + 0.05 ? `, more than the screen’s ${sayNumber(screen)}` : '';
  if (asked.layer.kind !== 'picture')
    return reason(`${asked.layer.name} is drawn ${sayNumber(drawn)} ${AXIS_WORDS[axis].size}${larger}.`, [
      whyExtent(context, asked, axis),
    ]);
  const scale = axis === 'x' ? placement.scale.x : placement.scale.y;
  const { given, result } = worked(
    [extent(placement.natural, axis), { value: scale, least: decimalsOfThree(scale) }],
    (a, b) => a * b,
  );
  return reason(`The drawn ${word} is ${result}${larger}: ${given[0]} of natural ${word} × ${given[1]}.`, [
    whyScale(context, asked),
  ]);
}

/** Why the drawing ends where it does at one side: by the position in its box, or by the box itself. */
export function whyDrawnEdge(context: Context, asked: AskedLayer, side: Side): Reason {
  const { layer } = asked;
  const { placement } = drawnLayer(context, layer.id);
  const off = distances(paintedRect(placement), placement.box)[side];
  const axis = AXIS_OF[side];
  const box = whyEdge(context, asked, axis, endOf(context, side));
  if (Math.abs(off) < 0.05) return box;
  const where = off > 0 ? `ends ${sayNumber(off)} inside` : `reaches ${sayNumber(-off)} over`;
  if (layer.kind !== 'picture')
    return reason(`The drawing ${where} the ${side} of its box.`, [box], {
      part: { layerId: layer.id, path: ['style'] },
    });
  return reason(
    `The drawing ${where} the ${side} of its box, because of how it lies in it.`,
    [whyScale(context, asked), box],
    { part: fitPart(context, asked, 'align') },
  );
}
