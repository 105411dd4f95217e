import { paintedRect } from '../fit/tiles';
import { distances, type Rect, type Side } from '../geometry/rect';
import { holdersOf } from '../survey/pile';
import { whyEdge } from './box';
import { askedLayer, drawnLayer, type AskedLayer, type Context } from './context';
import { AXIS_OF, endOf, whyDrawnEdge } from './drawn';
import { reason, type Reason } from './reason';

/** Less than what is said of a length. */
const HAIR = 0.05;

/**
 * Why what is seen of a picture ends where it does at one side: at the edge of a panel that cuts it off, at that of its own
 * box, or where the drawing itself ends, whichever lies furthest inside.
 */
export function whySeenEdge(context: Context, asked: AskedLayer, side: Side): Reason {
  const layer = drawnLayer(context, asked.layer.id);
  const { placement } = layer;
  const { screen } = context.prepared.regions;
  const depth = (r: Rect) => distances(r, screen)[side];
  const axis = AXIS_OF[side];
  const end = endOf(context, side);
  const drawn = depth(paintedRect(placement));
  const box = placement.clipped ? depth(placement.box) : -Infinity;
  const holders = holdersOf(layer, context.result.layers).filter((h) => h.clip);
  const inner = holders.toSorted((a, b) => depth(b.box) - depth(a.box))[0];
  if (inner && depth(inner.box) > Math.max(drawn, box) + HAIR) {
    const panel = askedLayer(context, inner.id);
    return reason(`${panel.layer.name} cuts off what it holds at its ${side} edge.`, [
      whyEdge(context, panel, axis, end),
    ]);
  }
  if (box < drawn - HAIR) return whyDrawnEdge(context, asked, side);
  const edge = whyEdge(context, asked, axis, end);
  const spill = `What spills over the ${side} of its box is cut off there: the box is what ends it.`;
  return drawn < box - HAIR ? reason(spill, [edge]) : edge;
}
