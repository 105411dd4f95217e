import type { Size } from '@/core/geometry/rect';
import { isPlaced, type Layer, type PlacedLayer } from '@/core/scene/scene';

/** A stretch of screens on which the same rules hold. Widths in lu; a screen of one of the two ends may be out of it. */
export interface Cell {
  orientation: 'portrait' | 'landscape';
  /** the place of its stretch of widths among all of them */
  stretch: number;
  /** a screen in the middle of it */
  size: Size;
}

/** Between which widths something may differ, `after` says whether the width itself still belongs to what is below it. */
interface Break {
  at: number;
  after: boolean;
}

/** Of a scene: which screens are told apart by its rules, and how CSS asks for them. */
export interface Cells {
  all: readonly Cell[];
  /** a query of the container, for one orientation or both, and for one stretch of widths or all */
  query: (orientation: Cell['orientation'] | null, stretch: number | null) => string;
}

function breaksOf(layers: readonly PlacedLayer[]): Break[] {
  const breaks = layers.flatMap(({ when = [] }) =>
    when.flatMap((w) => [
      ...(w.minWidth === undefined ? [] : [{ at: w.minWidth, after: false }]),
      ...(w.maxWidth === undefined ? [] : [{ at: w.maxWidth, after: true }]),
    ]),
  );
  const sorted = breaks
    .filter((b) => b.at > 0 || b.after)
    .toSorted((a, b) => a.at - b.at || Number(a.after) - Number(b.after));
  return sorted.filter((b, i) => i === 0 || b.at !== sorted[i - 1]!.at || b.after !== sorted[i - 1]!.after);
}

/** A width between two breaks; between the two sides of one width, that width. */
function within(low: Break | undefined, high: Break | undefined): number {
  if (!high) return (low?.at ?? 0) + 1000;
  return ((low?.at ?? 0) + high.at) / 2;
}

const lowest = ({ at, after }: Break) => `(width ${after ? '>' : '>='} ${at}px)`;
const highest = ({ at, after }: Break) => `(width ${after ? '<=' : '<'} ${at}px)`;

/** @param layers those whose rules that differ matter */
export function cellsOf(layers: readonly PlacedLayer[]): Cells {
  const breaks = breaksOf(layers);
  const stretches = Array.from({ length: breaks.length + 1 }, (_, i) => [breaks[i - 1], breaks[i]] as const);
  const all = (['portrait', 'landscape'] as const).flatMap((orientation) =>
    stretches.map(([low, high], stretch) => {
      const width = within(low, high);
      const height = orientation === 'portrait' ? width * 2 : width / 2;
      return { orientation, stretch, size: { width, height } };
    }),
  );
  const query: Cells['query'] = (orientation, stretch) => {
    const [low, high] = stretch === null ? [] : stretches[stretch]!;
    return [orientation && `(orientation: ${orientation})`, low && lowest(low), high && highest(high)]
      .filter(Boolean)
      .join(' and ');
  };
  return { all, query };
}

const layersNamed = (layer: PlacedLayer): string[] =>
  [...JSON.stringify([layer.placing, layer.when]).matchAll(/"layer:([^"]+)"/g)].map((m) => m[1]!);

const mayHug = (layer: PlacedLayer) => JSON.stringify([layer.placing, layer.when]).includes('"hug"');

/**
 * Everything whose rules may change what is written of a layer, itself included: what it is measured from, what holds it,
 * and what it goes around.
 */
export function relatives(layer: PlacedLayer, layers: readonly Layer[]): PlacedLayer[] {
  const placed = layers.filter(isPlaced);
  const found = new Map([[layer.id, layer]]);
  for (const l of found.values()) {
    const next = placed.filter(
      (o) => o.id === l.parent || layersNamed(l).includes(o.id) || (mayHug(l) && o.parent === l.id),
    );
    for (const o of next) found.set(o.id, o);
  }
  return [...found.values()];
}
