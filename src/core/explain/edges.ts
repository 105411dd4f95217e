import { sayArea, sayLength, sayNumber } from '../words/numbers';
import { distances, intersects, SIDES, type PerSide, type Side } from '../geometry/rect';
import { visibleDrawing } from '../measure/clearance';
import { AXIS_WORDS } from '../sentences/words';
import { drawnLayer, type AskedLayer, type Context } from './context';
import { whyDrawn, whyDrawnEdge } from './drawn';
import { reason, type Reason } from './reason';
import { whyInset } from './screen';

/** The side on which there is least. */
const smallestSide = (sides: PerSide): Side => SIDES.reduce((a, b) => (sides[b] < sides[a] ? b : a));

const EDGES = { safe: 'the safe area', screen: 'the screen' } as const;

/** How far the drawing stands off a side of the safe area or of the screen; without a side, the nearest. */
export function whyClearance(
  context: Context,
  asked: AskedLayer,
  from: 'safe' | 'screen',
  wanted?: Side,
): Reason {
  const { measures, placement, window } = drawnLayer(context, asked.layer.id);
  const clear = measures.clearance?.[from];
  if (!clear)
    return reason(`Nothing of ${asked.layer.name} is seen.`, [
      whyDrawnEdge(context, asked, wanted ?? 'left'),
    ]);
  const side = wanted ?? smallestSide(clear);
  const edge = `the ${side} of ${EDGES[from]}`;
  const words =
    clear[side] < 0
      ? `The drawing reaches ${sayNumber(-clear[side])} over ${edge}.`
      : `${sayNumber(clear[side])} lie between the drawing and ${edge}.`;
  const { screen } = context.prepared.regions;
  const seen = visibleDrawing(placement, window);
  const cut =
    seen &&
    Math.abs(distances(seen, screen)[side]) < 0.05 &&
    distances(placement.drawn, screen)[side] < -0.05;
  const ended = cut ? [reason(`The screen ends the drawing at the ${side}.`)] : [];
  const inset = from === 'safe' ? [whyInset(context, side)] : [];
  return reason(words, [...ended, whyDrawnEdge(context, asked, side), ...inset]);
}

const HIDDEN = {
  cutout: 'lies under a cutout of the glass',
  corner: 'lies outside the rounded corners of the glass',
  bar: 'lies under a bar',
} as const;

/** How much of a layer the glass or the bars hide, and what brings it there: its nearest side to the edge. */
export function whyUnder(context: Context, asked: AskedLayer, what: keyof typeof HIDDEN): Reason {
  const { measures, placement, window } = drawnLayer(context, asked.layer.id);
  const { intrusion, clearance } = measures;
  const seen = visibleDrawing(placement, window);
  if (!intrusion || !clearance || !seen) return reason(`Nothing of ${asked.layer.name} is seen.`);
  const bars = context.result.bars.filter((b) => intersects(b.rect, seen)).map((b) => `the ${b.kind} bar`);
  const where = what === 'bar' && bars.length > 0 ? `lies under ${bars.join(' and ')}` : HIDDEN[what];
  const side = smallestSide(clearance.safe);
  return reason(`${sayArea(intrusion[what])} of what is seen of ${asked.layer.name} ${where}.`, [
    whyDrawnEdge(context, asked, side),
    whyInset(context, side),
  ]);
}

/** Over which length a fold crosses a layer, and what makes the layer reach over it. */
export function whyAcrossFold(context: Context, asked: AskedLayer): Reason {
  const { intrusion } = drawnLayer(context, asked.layer.id).measures;
  const folds = context.prepared.turned.cutouts.filter((c) => c.shape === 'hinge');
  const [fold] = folds;
  if (!fold || !intrusion || intrusion.fold === 0)
    return reason(`No fold crosses ${asked.layer.name} on this screen.`);
  // A fold that runs down the screen is crossed by what reaches from left to right of it.
  const axis = fold.width <= fold.height ? 'x' : 'y';
  const at = axis === 'x' ? fold.x : fold.y;
  const from = axis === 'x' ? 'left' : 'top';
  return reason(
    `A fold ${sayNumber(at)} from the ${from} of the screen crosses ${asked.layer.name} over ${sayLength(intrusion.fold)}: its ${AXIS_WORDS[axis].extent} reaches over it.`,
    [whyDrawn(context, asked, axis), whyDrawnEdge(context, asked, from)],
  );
}
