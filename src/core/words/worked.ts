import { sayDecimals, sayNumber } from './numbers';

/** A figure that others are worked out from. */
export interface Given {
  value: number;
  /** decimals that are said of it at least; one when absent */
  least?: number;
}

/** Decimals that are said at most; more of them are the noise of sums. */
const MOST = 9;
/** Decimals beyond which a result is noise of what it was worked out from. */
const EXACT = 8;

const rounded = (value: number, decimals: number) => Number(value.toFixed(decimals));

/** A figure without the noise of the sums that it comes from. */
export const exact = (value: number): number => rounded(value, EXACT);

/**
 * Says a result and the figures that it comes from, each with as many decimals as it takes, so that whoever works it out
 * again from what is said comes to what is said.
 * @param given the figures @param work what the result is, of these figures @param say how the result is said
 * @returns the figures in their order, and the result
 */
export function worked(
  given: readonly (number | Given)[],
  work: (...figures: number[]) => number,
  say: (result: number) => string = sayNumber,
): { given: string[]; result: string } {
  const figures = given.map((g) => (typeof g === 'number' ? { value: g } : g));
  const result = say(exact(work(...figures.map((g) => g.value))));
  const isRight = (more: number) =>
    say(exact(work(...figures.map(({ value, least = 1 }) => rounded(value, least + more))))) === result;
  let more = 0;
  while (more < MOST && !isRight(more)) more++;
  return { given: figures.map(({ value, least = 1 }) => sayDecimals(value, least + more)), result };
}

/** Decimals by which a figure is said to three significant figures, but at least to one. */
export const decimalsOfThree = (value: number): number =>
  value === 0 ? 1 : Math.max(1, 2 - Math.floor(Math.log10(Math.abs(value))));
