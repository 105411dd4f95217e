import { sayShare } from '@/core/words/numbers';
import type { ValleyMeasure } from '@/core/solve/valley';
import type { Mark } from '@/core/solve/mark';
import { WORDS } from './limits';

/** How a mark is drawn where one measure is looked at, and what is said of it. */
export function judgedBy({ outcomes, besides, losses, solid }: Mark, measure: ValleyMeasure) {
  const failsBesides = besides[measure] === 'fail';
  const said = `${WORDS[measure]} ${sayShare(losses[measure])}, ${outcomes[measure]}`;
  return {
    look: { outcome: outcomes[measure], failsBesides, solid },
    said: failsBesides ? `${said}; fails by something else` : said,
  };
}
