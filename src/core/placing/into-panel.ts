import { span, type Axis, type Rect, type Span } from '../geometry/rect';
import { lu, type Length } from '../values/values';
import type { AxisRule, Edge, Extent, Placing, Region } from './rule';
import { withPlace } from './measured';
import { withoutIdleShape } from './rule';

/** A hundredth of a lu is less than anybody sees. */
const tidy = (value: number): Length => lu(Math.round(value * 100) / 100 + 0);
const middleOf = ({ start, end }: Span) => (start + end) / 2;
const lengthOf = ({ start, end }: Span) => end - start;

/** Whether how large it is hangs on what holds it, or on edges of which only one is left. */
const leansInSize = (rule: AxisRule, fromStart: boolean) =>
  rule.kind === 'edges' ? fromStart : JSON.stringify(rule.extent).includes('"parent"');

/** How large it is, as its rule says it. */
const extentIn = (rule: AxisRule, drawn: Span, asDrawn: boolean): Extent =>
  asDrawn || rule.kind === 'edges' ? { kind: 'length', length: tidy(lengthOf(drawn)) } : rule.extent;

const edgeAt = (region: Region, offset: number): Edge => ({ region, offset: tidy(offset) });

interface Along {
  drawn: Span;
  inside: Span;
  fromStart: boolean;
  /** whether its size is written down as it is drawn */
  asDrawn: boolean;
}

/** A rule along one axis that puts a layer where it is drawn, measured from another region. */
function ruleIn(rule: AxisRule, region: Region, { drawn, inside, fromStart, asDrawn }: Along): AxisRule {
  const [start, end] = [drawn.start - inside.start, inside.end - drawn.end];
  const extent = extentIn(rule, drawn, asDrawn);
  // What is inside a panel that goes around it can only be measured from where that starts.
  if (fromStart) return { kind: 'start', edge: edgeAt(region, start), extent };
  if (rule.kind === 'edges') return { kind: 'edges', start: edgeAt(region, start), end: edgeAt(region, end) };
  if (rule.kind === 'middle') {
    const shift = tidy(middleOf(drawn) - middleOf(inside));
    return { kind: 'middle', region, shift, extent };
  }
  return { kind: rule.kind, edge: edgeAt(region, rule.kind === 'start' ? start : end), extent };
}

/** What a layer is to be measured from, and where that lies while it is drawn where it is to stay. */
export interface Inside {
  region: Region;
  /** lu, absolute */
  rect: Rect;
  /** along which axes that goes around the layer */
  hugs: Record<Axis, boolean>;
}

/**
 * A rule that is measured from the inside a panel, or of the screen, and leaves a layer where it is drawn on one case.
 * Sizes stay as they are said, unless they are shares of what held it before.
 * @param drawn its box on that case, lu, absolute
 */
export function measuredFrom(placing: Placing, drawn: Rect, { region, rect, hugs }: Inside): Placing {
  // Sizes of which one gives the other stay so only where neither hangs on what held it.
  const asDrawn = leansInSize(placing.x, hugs.x) || leansInSize(placing.y, hugs.y);
  const along = (axis: Axis) =>
    ruleIn(placing[axis], region, {
      drawn: span(drawn, axis),
      inside: span(rect, axis),
      fromStart: hugs[axis],
      asDrawn,
    });
  return withoutIdleShape({ ...placing, x: along('x'), y: along('y') });
}

/** Whether anything of a rule is measured from the panel that holds the layer. */
export const leansOnHolder = (placing: Placing): boolean => JSON.stringify(placing).includes('"parent"');

/** A panel’s own rule along an axis with its place moved, lu, and all else as it was. */
export const movedAlong = (rule: AxisRule, by: number): AxisRule =>
  withPlace(rule, (l, { sign }) => ('named' in l || l.unit !== 'lu' ? l : tidy(l.value + sign * by)));
