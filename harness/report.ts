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
