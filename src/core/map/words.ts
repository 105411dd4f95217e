import { sayFigure, ownerName } from '../measure/words';
import type { Layer } from '../scene/scene';
import { sayNumber, sayRatio } from '../words/numbers';
import type { Break, BreakBy } from './breaks';
import type { Span } from './range';

/** What of the windows between two bounds is concerned is “mostly” them under this share. */
const NEARLY_ALL = 0.9;

interface Words {
  below: (high: string) => string;
  above: (low: string) => string;
  within: (low: string, high: string) => string;
}

const WORDS: Record<BreakBy, Words> = {
  ratio: {
    below: (high) => `narrower than ${high} : 1`,
    above: (low) => `flatter than ${low} : 1`,
    within: (low, high) => `from ${low} to ${high} : 1`,
  },
  width: {
    below: (high) => `up to ${high} wide`,
    above: (low) => `from ${low} wide`,
    within: (low, high) => `${low} to ${high} wide`,
  },
  height: {
    below: (high) => `up to ${high} high`,
    above: (low) => `from ${low} high`,
    within: (low, high) => `${low} to ${high} high`,
  },
};

/** “from 0.962 to 1.04 : 1”, “from 1,500 wide”: the windows on which something is wrong. */
export function sayWhere({ by, within, isFrom, isTo, of }: Break): string {
  const say = (v: number) => (by === 'ratio' ? sayRatio(v) : sayNumber(v));
  const [low, high] = [say(within.low), say(within.high)];
  const mostly = of < NEARLY_ALL ? 'mostly ' : '';
  if (isFrom && isTo) return of < NEARLY_ALL ? 'here and there' : 'at any size';
  if (isFrom) return mostly + WORDS[by].below(high);
  if (isTo) return mostly + WORDS[by].above(low);
  return mostly + WORDS[by].within(low, high);
}

/** “Harbour: keep area cut off 4.3 %” */
export const sayBroken = ({ worst }: Pick<Break, 'worst'>, layers: readonly Layer[]): string =>
  `${ownerName(worst.subjectId, layers)}: ${sayFigure(worst.limit.measure, worst.value)}`;

/** “320 to 1,366 × 480 to 1,366” */
export const saySpan = ({ low, high }: Span): string => `${sayNumber(low)} to ${sayNumber(high)}`;
