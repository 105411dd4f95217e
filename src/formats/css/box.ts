import type { Axis } from '@/core/geometry/rect';
import type { AxisRule } from '@/core/placing/rule';
import type { PlacedLayer } from '@/core/scene/scene';
import { AXES, type LayerAround, type Way } from './around';
import { isAnchored } from './placing';
import { Rules } from './rules';
import { cssNumber, Sum } from './sum';
import { Unsaid } from './unsaid';

/** The boxes of layers: where they lie and how large they are. */

export const selectorOf = ({ id }: Pick<PlacedLayer, 'id'>, { names }: Pick<LayerAround, 'names'>) =>
  `.${names.get(id)!}`;

/** A place from the other end, for `right` and `bottom`. */
const fromEnd = (at: Sum, extent: 'width' | 'height'): Sum => {
  const { with: anchors, without } = at.split('anchor(');
  const whole = anchors.isPlain ? Sum.of(`var(--screen-${extent})`, true) : Sum.px(0);
  return whole.plus(anchors.isPlain ? Sum.px(0) : anchors).minus(without);
};

const ALIGN: Record<AxisRule['kind'], string> = {
  start: 'flex-start',
  end: 'flex-end',
  middle: 'center',
  edges: 'flex-start',
};

function along(rules: Rules, layer: PlacedLayer, axis: Axis, way: Way, around: LayerAround): void {
  const { placing } = around;
  const words = placing.words(axis);
  const name = around.names.get(layer.id)!;
  const { start, end, size } = placing.along(layer.id, axis);
  const own = (property: string) => `--${name}-${property}`;
  const isKnown = placing.isKnown(layer.id, axis);
  if (size && !isAnchored(size)) rules.add('.scene', { [own(words.extent)]: size.css() });
  if (isKnown) rules.add('.scene', { [own(words.at)]: start!.css() });
  const extent = size && (isAnchored(size) ? size.css() : `var(${own(words.extent)})`);
  if (way === 'flow') return;
  if (way === 'point') {
    rules.add(selectorOf(layer, around), { [words.extent]: extent ?? layoutExtent(layer, axis) });
    return;
  }
  rules.add(selectorOf(layer, around), {
    [words.start]: isKnown ? `var(${own(words.at)})` : start?.css(),
    [words.end]: end && !size && fromEnd(end, words.extent).css(),
    [words.extent]: extent,
  });
}

/** A size that the layout gives: that of the lines, that between two edges, or what the shape makes of the other. */
function layoutExtent(layer: PlacedLayer, axis: Axis): string {
  if (layer.placing[axis].kind === 'edges') return '100%';
  return axis === 'x' && layer.kind !== 'picture' ? 'max-content' : 'auto';
}

/** A point, or a stretch between two edges, in which the layer is put. */
function atPoint(rules: Rules, layer: PlacedLayer, around: LayerAround): void {
  const selector = `${selectorOf(layer, around)}-at`;
  const { placing, mirrored } = around;
  rules.add(selector, {
    position: 'absolute',
    display: 'flex',
    'flex-direction': mirrored ? 'row-reverse' : 'row',
    'justify-content': ALIGN[layer.placing.x.kind],
    'align-items': ALIGN[layer.placing.y.kind],
  });
  rules.add(selectorOf(layer, around), { flex: 'none', 'min-width': '0', 'min-height': '0' });
  for (const axis of AXES) {
    const words = placing.words(axis);
    const { start, end, middle, size } = placing.along(layer.id, axis);
    const isBetween = layer.placing[axis].kind === 'edges';
    const at = isBetween ? start : (middle ?? end ?? start);
    rules.add(selector, {
      [words.start]: at!.css(),
      [words.extent]: isBetween ? (size ? size.css() : null) : '0',
      [words.end]: isBetween && !size && fromEnd(end!, words.extent).css(),
    });
  }
  for (const axis of AXES) layoutBounds(rules, layer, axis, around);
}

function layoutBounds(rules: Rules, layer: PlacedLayer, axis: Axis, around: LayerAround): void {
  const rule = layer.placing[axis];
  const { placing } = around;
  if (rule.kind === 'edges' || placing.along(layer.id, axis).size) return;
  const { extent } = placing.words(axis);
  const { min, max } = rule.extent;
  if (rule.extent.kind === 'from-ratio') {
    const { ratio } = layer.placing;
    const shape = ratio!.value === 'own' ? around.natural(layer)!.shape.x : ratio!.value;
    rules.add(selectorOf(layer, around), {
      'aspect-ratio': typeof shape === 'number' ? cssNumber(shape) : shape,
    });
    return;
  }
  if (axis === 'x' && max && layer.kind === 'text' && around.breaks(layer.id))
    throw new Unsaid(layer, 'a text as wide as its lines, with an upper bound');
  rules.add(selectorOf(layer, around), {
    [`max-${extent}`]: max && placing.bound(layer, max, axis).css(),
    [`min-${extent}`]: min && placing.bound(layer, min, axis).css(),
  });
}

/** The rules of the box of a layer; one that flows has only its sizes here. */
export function boxRules(rules: Rules, layer: PlacedLayer, way: Way, around: LayerAround): void {
  rules.add(selectorOf(layer, around), { position: way === 'direct' ? 'absolute' : 'relative' });
  for (const axis of AXES) along(rules, layer, axis, way, around);
  if (way === 'point') atPoint(rules, layer, around);
}
