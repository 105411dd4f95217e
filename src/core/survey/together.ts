import { intersect, type Rect } from '../geometry/rect';
import { visibleDrawing } from '../measure/clearance';
import { overlapOf, type Standing } from '../measure/overlap';
import { barContrast, contrastOf, isMeasured } from './contrast';
import type { Scope } from './draw';
import { changesSince, type Change } from './earlier';
import type { CaseResult, LayerResult } from './result';

export type Together = Pick<CaseResult, 'layers' | 'barContrast'>;

/** The layers that none of their like should lie across, as far as they are seen. */
function standingOf(layers: readonly LayerResult[], screen: Rect): Standing[] {
  const standing: Standing[] = [];
  for (const l of layers) {
    if (l.kind === 'ground' || l.role === 'background') continue;
    const seen = l.kind === 'panel' || l.role !== 'other' ? visibleDrawing(l.placement, screen) : null;
    if (seen) standing.push({ id: l.id, parent: l.parent, seen });
  }
  return standing;
}

/** Whether anything that is drawn before a place in the order looks different in a part of the screen. */
const isTouched = (part: Rect | null, below: number, changes: readonly Change[]) =>
  part !== null && changes.some(({ at, rects }) => at < below && rects.some((r) => intersect(r, part)));

/** How much each layer lies across others. In the other appearance that is the same. */
function overlaps(layers: readonly LayerResult[], { prepared, twin }: Scope): number[] {
  if (twin) return twin.layers.map((l) => (l.kind === 'ground' ? 0 : l.measures.overlap));
  const standing = standingOf(layers, prepared.regions.screen);
  return layers.map(({ id }) => {
    const own = standing.find((s) => s.id === id);
    return own ? overlapOf(own, standing) : 0;
  });
}

/**
 * What can only be measured once everything is drawn: overlap and contrast.
 * @param drawn back to front; what is this survey's own is filled in, what is kept from an earlier one is copied if it
 *   differs
 * @returns the earlier result itself where nothing has changed
 */
export function measureTogether(drawn: readonly LayerResult[], scope: Scope): Together {
  const { input, c, bars, kept } = scope;
  const pixels = input.pixels ?? null;
  const changes = kept && changesSince(kept.result, drawn);
  if (changes?.length === 0) return kept!.result;
  const across = overlaps(drawn, scope);
  const layers = drawn.map((layer, i) => {
    if (layer.kind === 'ground') return layer;
    const own = !kept?.result.layers.includes(layer);
    const asBefore = changes && !own && !isTouched(layer.placement.visible, i, changes);
    const contrast = asBefore
      ? layer.measures.contrast
      : pixels && isMeasured(layer)
        ? contrastOf(layer, drawn.slice(0, i), pixels, c.appearance)
        : null;
    const together = { overlap: across[i]!, contrast };
    const { overlap, contrast: before } = layer.measures;
    if (overlap === together.overlap && before === contrast) return layer;
    if (!own) return { ...layer, measures: { ...layer.measures, ...together } };
    Object.assign(layer.measures, together);
    return layer;
  });
  const contrastUnder = (bar: (typeof bars)[number], i: number) =>
    changes && !isTouched(bar.rect, layers.length, changes)
      ? kept!.result.barContrast[i]!
      : barContrast(bar, layers, pixels, c.appearance);
  return { layers, barContrast: bars.map(contrastUnder) };
}
