/** The hints of the first look, in the order in which they are shown. */
export const HINTS = ['field', 'valley', 'sentence', 'why', 'mend', 'launch'] as const;
export type HintId = (typeof HINTS)[number];

/** Which side column a hint stands in, where it stands in one. */
export const DRAWER_OF: Partial<Record<HintId, 'rules' | 'close-up'>> = {
  sentence: 'rules',
  why: 'close-up',
  mend: 'close-up',
};

export const HINTS_COOKIE = 'coulee-hints';

/** How many hints were closed, of what a cookie says. */
export function readHints(value: string | undefined): number {
  const closed = Number(value ?? 0);
  return Number.isInteger(closed) && closed >= 0 ? Math.min(closed, HINTS.length) : 0;
}

const YEAR = 365 * 24 * 3600;

/** Remembers how many were closed, for the next time. */
export function keepHints(closed: number): void {
  document.cookie = `${HINTS_COOKIE}=${closed}; path=/; max-age=${YEAR}; samesite=strict`;
}
