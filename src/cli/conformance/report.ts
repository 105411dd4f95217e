/** What a comparison says of one case: it was not compared, it passed (`[]`), or what missed its tolerance. */
export type Verdict = 'skipped' | string[];

/** A line for a figure that misses its tolerance, nothing for one that keeps it. NaN misses. */
export function miss(name: string, actual: number, expected: number, tolerance: number): string[] {
  if (Math.abs(actual - expected) <= tolerance) return [];
  return [`${name} is ${actual}, expected ${expected} ± ${tolerance}`];
}

export function missFields<T extends object>(
  name: string,
  actual: T | null,
  expected: Record<string, number>,
  tolerance: number,
): string[] {
  return Object.entries(expected).flatMap(([key, value]) =>
    miss(`${name}.${key}`, (actual as Record<string, number> | null)?.[key] ?? 0, value, tolerance),
  );
}
