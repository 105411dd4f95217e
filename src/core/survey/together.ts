import { intersects, type Rect } from '../geometry/rect';
import { visibleDrawing } from '../measure/clearance';
import { Measures } from '../measure/measures';
import { overlapOf, type Standing } from '../measure/overlap';
import { covers } from './pile';
import { barContrast, contrastOf, cutOffOf, isMeasured } from './contrast';
import type { Pixels } from './pile';
import type { BarResult } from '../screens/bars';
import type { CaseScope } from './draw';
import { changesSince, type RedrawnPart } from './earlier';
import { measuredAs, type CaseResult, type LayerResult } from './result';

export type Together = Pick<CaseResult, 'layers' | 'barContrast'>;

/** The layers that none of their like should lie across, as far as they are seen. */
export function standingOf(layers: readonly LayerResult[]): Standing[] {
  const standing: Standing[] = [];
  for (const l of layers) {
    if (l.kind === 'ground' || l.role === 'background') continue;
    const seen = l.kind === 'panel' || l.role !== 'other' ? visibleDrawing(l.placement, l.window) : null;
    const around = l.kind === 'panel' ? l.around : undefined;
    if (seen) standing.push({ id: l.id, parent: l.parent, around, seen });
  }
  return standing;
}

/** How much each layer lies across others. In the other appearance that is the same. */
function overlaps(layers: readonly LayerResult[], { twin }: CaseScope): number[] {
  if (twin) return twin.layers.map((l) => (l.kind === 'ground' ? 0 : l.measures.overlap));
  const standing = standingOf(layers);
  return layers.map(({ id }) => {
    const own = standing.find((s) => s.id === id);
    return own ? overlapOf(own, standing) : 0;
  });
}

/** What is drawn on a case, and how that differs from before; `null` where it cannot be compared. */
interface Drawn {
  layers: readonly LayerResult[];
  changes: readonly RedrawnPart[] | null;
}

/** Whether what lies under a place in the order looks as it did in a part of the screen, as far as it is looked at. */
function isUntouched(part: Rect | null, below: number, { layers, changes }: Drawn, pixels: Pixels): boolean {
  if (!part || !changes) return changes !== null;
  for (const { at, rect } of changes)
    if (at < below && intersects(rect, part) && !isCovered(part, at + 1, below, layers, pixels)) return false;
  return true;
}

/** Whether one of the layers from a place in the order on, and before another one, hides what lies under it. */
function isCovered(part: Rect, from: number, to: number, layers: Drawn['layers'], pixels: Pixels): boolean {
  for (let k = from; k < to; k++) if (covers(layers[k]!, part, layers, pixels)) return true;
  return false;
}

/** Fills in what is this survey’s own; what is kept from an earlier one is copied if it differs. */
function measureOne(i: number, overlap: number, drawn: Drawn, { input, c, kept }: CaseScope): LayerResult {
  const layer = drawn.layers[i]!;
  if (layer.kind === 'ground') return layer;
  const { pixels = null } = input;
  const before = layer.measures;
  // A layer mostly has the place that it had.
  const own = !kept || (kept.result.layers[i] !== layer && !kept.result.layers.includes(layer));
  let { contrast, cutOff } = before;
  if (pixels && own) cutOff = cutOffOf(layer, pixels);
  if (pixels && isMeasured(layer, pixels) && (own || !isUntouched(layer.placement.visible, i, drawn, pixels)))
    contrast = contrastOf(layer, i, drawn.layers, pixels, c.appearance);
  if (overlap === before.overlap && contrast === before.contrast && cutOff === before.cutOff) return layer;
  const measures = own ? before : new Measures(before);
  measures.overlap = overlap;
  measures.contrast = contrast;
  measures.cutOff = cutOff;
  return own ? layer : measuredAs(layer, measures);
}

/**
 * What can only be measured once everything is drawn: overlap and contrast.
 * @param layers back to front
 * @returns the earlier result itself where nothing has changed
 */
export function measureTogether(layers: readonly LayerResult[], scope: CaseScope): Together {
  const { input, c, bars, kept } = scope;
  const were = kept?.result.layers;
  if (were?.length === layers.length && layers.every((l, i) => l === were[i])) return kept!.result;
  const drawn = { layers, changes: kept && changesSince(kept.result, layers) };
  const across = overlaps(layers, scope);
  const { pixels = null } = input;
  const underBar = (bar: BarResult, i: number) =>
    kept && pixels && isUntouched(bar.rect, layers.length, drawn, pixels)
      ? kept.result.barContrast[i]!
      : barContrast(bar, layers, pixels, c.appearance);
  return {
    layers: layers.map((_, i) => measureOne(i, across[i]!, drawn, scope)),
    barContrast: bars.map(underBar),
  };
}
