/** The qualities that an encoder takes. */
export const QUALITIES = { least: 1, most: 100 } as const;

/** Encoders now and then write fewer bytes at a little more quality: so many steps above the best are tried as well. */
const LOOKED_ABOVE = 2;
/** Where the search begins: about there most budgets lie, and the highest qualities take longest. */
const FIRST = 75;

/** What a quality comes to. */
export interface Weighed {
  quality: number;
  bytes: number;
}

/** Not even the least quality fits. */
export interface TooMuch {
  /** at the least quality */
  least: Weighed;
}

/**
 * Which quality is tried between one that fits and one that does not: where a straight line through the logarithms of their bytes
 * meets the budget, and every third time the middle, so that a bent line does not hold it up.
 */
function between(low: Weighed | null, high: Weighed | null, budget: number, tries: number): number {
  const [from, to] = [low?.quality ?? QUALITIES.least - 1, high?.quality ?? QUALITIES.most + 1];
  if (tries === 0) return FIRST;
  const middle = Math.floor((from + to) / 2);
  if (!low || !high || tries % 3 === 0) return middle;
  const share = Math.log(budget / low.bytes) / Math.log(high.bytes / low.bytes);
  return Math.max(from + 1, Math.min(to - 1, Math.round(from + share * (to - from))));
}

/**
 * The best quality at which files come to no more than so many bytes: searched as bytes grow with quality, and then by trying the
 * few above.
 * @param weigh what the files come to at a quality, bytes; asked once for each
 * @param budget bytes, all of them together
 */
export async function bestQuality(
  weigh: (quality: number) => Promise<number>,
  budget: number,
): Promise<Weighed | TooMuch> {
  const tried = new Set<number>();
  const at = async (quality: number): Promise<Weighed> => {
    tried.add(quality);
    return { quality, bytes: await weigh(quality) };
  };
  let low: Weighed | null = null;
  let high: Weighed | null = null;
  while ((high?.quality ?? QUALITIES.most + 1) - (low?.quality ?? QUALITIES.least - 1) > 1) {
    const one = await at(between(low, high, budget, tried.size));
    if (one.bytes <= budget) low = one;
    else high = one;
  }
  if (!low) return { least: high! };
  const last = Math.min(QUALITIES.most, low.quality + 1 + LOOKED_ABOVE);
  for (let q = low.quality + 1; q <= last; q++) {
    if (tried.has(q)) continue;
    const one = await at(q);
    if (one.bytes <= budget) low = one;
  }
  return low;
}

/**
 * The quality at which files are most like what they were and come to no more than so many bytes, found by trying all of them: of
 * small pictures one step more now and then shows less.
 * @param weigh as above @param alike how like they are, more for more @param budget as above
 */
export async function mostAlike(
  weigh: (quality: number) => Promise<number>,
  alike: (quality: number) => Promise<number>,
  budget: number,
): Promise<Weighed | TooMuch> {
  let best: (Weighed & { alike: number }) | null = null;
  let least: Weighed | null = null;
  for (let quality: number = QUALITIES.least; quality <= QUALITIES.most; quality++) {
    const bytes = await weigh(quality);
    if (!least || bytes < least.bytes) least = { quality, bytes };
    if (bytes > budget) continue;
    const found = await alike(quality);
    if (!best || found >= best.alike) best = { quality, bytes, alike: found };
  }
  return best ? { quality: best.quality, bytes: best.bytes } : { least: least! };
}
