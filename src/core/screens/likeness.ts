import type { Case } from './cases';
import { turn } from './turn';

/** Cases that are drawn and measured alike, of which the first stands for all. */
export interface DistinctCase {
  shown: Case;
  alike: Case[];
}

/** Cases are never changed in place, and are asked for many times. */
const known = new WeakMap<Case, string>();

/** Everything that a drawing or a measure depends on; two cases with the same key cannot be told apart. */
export function likeness(c: Case): string {
  const key = known.get(c) ?? likenessOf(c);
  known.set(c, key);
  return key;
}

function likenessOf(c: Case): string {
  const { size, insets, cutouts } = turn(c.screen, c.rotation);
  const { density, cornerRadius, maskInset, family, bars, panelPx, ppi, textSize, shows } = c.screen;
  return JSON.stringify([
    size,
    insets,
    cutouts,
    density,
    cornerRadius,
    maskInset,
    family,
    bars,
    panelPx,
    ppi,
    textSize,
    shows,
    c.appearance,
  ]);
}

/**
 * The cases that differ from one another, in the order in which they first come.
 * @param by what else tells them apart
 */
export function distinctCases(cases: readonly Case[], by: (c: Case) => string = () => ''): DistinctCase[] {
  const distinct = new Map<string, DistinctCase>();
  for (const c of cases) {
    const key = likeness(c) + by(c);
    const first = distinct.get(key);
    if (first) first.alike.push(c);
    else distinct.set(key, { shown: c, alike: [] });
  }
  return [...distinct.values()];
}
