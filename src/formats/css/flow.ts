import type { Axis } from '@/core/geometry/rect';
import type { PlacedLayer } from '@/core/scene/scene';
import { AXES, type LayerAround } from './around';
import { takesRoom } from './room';
import { Rules } from './rules';
import { Sum } from './sum';
import { Unsaid } from './unsaid';

/**
 * A panel that is as large as the texts in it: only the layout knows how large that is, so what it holds is laid out in its
 * flow, each below the one that it is measured from. Where several stand after one they share their place.
 */

/** Whether a panel is as large as texts in it. */
export const flows = (layer: PlacedLayer, { placing }: Pick<LayerAround, 'placing'>): boolean =>
  layer.kind === 'panel' && AXES.some((axis) => placing.hugsTexts(layer, axis));

/** The layer below which another one stands in the flow of their panel; `null` at its top. @throws Unsaid */
export function standsAfter(layer: PlacedLayer): string | null {
  const rule = layer.placing.y;
  if (rule.kind !== 'start')
    throw new Unsaid(layer, 'a place in a panel that goes around it, but not from its top');
  const { region, side } = rule.edge;
  if (region === 'parent' && side !== 'end') return null;
  if (region.startsWith('layer:') && side === 'end') return region.slice('layer:'.length);
  throw new Unsaid(layer, 'a place in a panel that goes around it, but not from its top');
}

/** The rules of a panel whose content flows. */
export function flowingPanel(rules: Rules, selector: string, panel: PlacedLayer, around: LayerAround): void {
  if (panel.kind !== 'panel') return;
  const { lengths, mirrored } = around;
  const pad = (side: keyof typeof panel.padding) => {
    const extent = side === 'left' || side === 'right' ? 'width' : 'height';
    return lengths.of(panel.padding[side], () => Sum.of(`var(--screen-${extent})`, true)).css();
  };
  // What a rule calls left lies at the right of a scene that is mirrored.
  const [left, right] = mirrored ? (['right', 'left'] as const) : (['left', 'right'] as const);
  rules.add(selector, {
    display: 'grid',
    'grid-template-columns': 'minmax(0, 1fr)',
    'align-content': 'start',
    overflow: panel.clip ? 'clip' : 'visible',
  });
  // A box is never smaller than its own padding, and a panel with an upper bound may be.
  rules.add(`${selector} > .stack`, { margin: `${pad('top')} ${pad(right)} ${pad('bottom')} ${pad(left)}` });
}

/** The place of a layer in the flow of its panel. @throws Unsaid */
export function flowing(
  rules: Rules,
  selector: string,
  layer: PlacedLayer,
  panel: PlacedLayer,
  around: LayerAround,
): void {
  standsAfter(layer);
  const { placing } = around;
  const { y } = layer.placing;
  const down = y.kind === 'start' ? placing.offset(layer, y.edge, 'y') : Sum.px(0);
  rules.add(selector, {
    position: 'relative',
    display: takesRoom(layer, around.layers, 'y') ? 'block' : 'none',
    'margin-top': down.css(),
    ...across(layer, panel, around),
    // One that is hidden takes room for those below it, and none across.
    ...(!layer.visible && { [around.mirrored ? 'margin-left' : 'margin-right']: '-100vmax' }),
  });
  for (const axis of AXES) extent(rules, selector, layer, axis, around);
}

function across(
  layer: PlacedLayer,
  panel: PlacedLayer,
  { placing, mirrored }: LayerAround,
): Record<string, string> {
  const rule = layer.placing.x;
  const [near, far] = mirrored ? ['margin-right', 'margin-left'] : ['margin-left', 'margin-right'];
  const at = (word: string, more: Record<string, string>) => ({ 'justify-self': word, ...more });
  // `start` of a grid is the left, as pages are written from there.
  const [start, end] = mirrored ? ['end', 'start'] : ['start', 'end'];
  const { start: from, size } = placing.along(layer.id, 'x');
  if (from && size && placing.isKnown(layer.id, 'x') && placing.isKnown(panel.id, 'x'))
    return at(start, { [near]: from.minus(placing.contentStartOf(panel, 'x')).css() });
  const isOwn =
    rule.kind === 'middle'
      ? rule.region === 'parent'
      : rule.kind !== 'edges' && rule.edge.region === 'parent';
  if (!isOwn || rule.kind === 'edges' || (rule.kind !== 'middle' && rule.edge.side))
    throw new Unsaid(layer, 'a place across a panel that goes around it, but not from its side');
  if (rule.kind === 'middle') {
    const shift = placing.shift(layer, rule, 'x').css();
    return at('center', { [mirrored ? 'right' : 'left']: shift });
  }
  const offset = placing.offset(layer, rule.edge, 'x').css();
  return rule.kind === 'start' ? at(start, { [near]: offset }) : at(end, { [far]: offset });
}

function extent(
  rules: Rules,
  selector: string,
  layer: PlacedLayer,
  axis: Axis,
  { placing }: LayerAround,
): void {
  const words = placing.words(axis);
  const { size } = placing.along(layer.id, axis);
  const layout = axis === 'x' ? 'max-content' : 'auto';
  rules.add(selector, { [words.extent]: size ? `var(--${selector.slice(1)}-${words.extent})` : layout });
}
