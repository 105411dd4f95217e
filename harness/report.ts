/** Something that is promised, and what was seen of it. */
export interface Seen {
  promise: string;
  kept: boolean;
  figures: string;
}

export const seen = (promise: string, kept: boolean, figures: string): Seen => ({ promise, kept, figures });

export const say = ({ promise, kept, figures }: Seen) =>
  `${kept ? 'kept  ' : 'BROKEN'}  ${promise}: ${figures}`;

/** The value below which a share of all lie. @param share 0..1 */
export function quantile(values: readonly number[], share: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}

/** Numbers between 0 and 1 that are the same for the same seed. Source: the mixing function of SplitMix32. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let z = state;
    z = Math.imul(z ^ (z >>> 16), 0x85ebca6b);
    z = Math.imul(z ^ (z >>> 13), 0xc2b2ae35);
    return ((z ^ (z >>> 16)) >>> 0) / 2 ** 32;
  };
}
