import { sayShare } from '@/core/words/numbers';
import type { ValleyMeasure } from '@/core/solve/valley';
import type { Mark } from '@/core/solve/mark';
import { WORDS } from './limits';

/** So many are drawn whether they hide each other or not. */
const ALL_UP_TO = 1000;

/**
 * The marks that can be told apart: where there are very many, one for each place, look and outcome.
 * @param placeOf where a mark is drawn, px
 * @param chosen the case whose mark is always among them
 */
export function distinct(
  marks: readonly Mark[],
  measure: ValleyMeasure,
  placeOf: (mark: Mark) => { x: number; y: number },
  chosen: string | undefined,
): readonly Mark[] {
  if (marks.length <= ALL_UP_TO) return marks;
  const seen = new Map<string, Mark>();
  for (const mark of marks) {
    const { x, y } = placeOf(mark);
    const { outcome, failsBesides, solid } = lookOf(mark, measure);
    const key =
      mark.caseId === chosen ? 'chosen' : [Math.round(x), Math.round(y), outcome, failsBesides, solid].join();
    if (!seen.has(key)) seen.set(key, mark);
  }
  return [...seen.values()];
}

/** How a mark is drawn where one measure is looked at. */
const lookOf = ({ outcomes, besides, solid }: Mark, measure: ValleyMeasure) => ({
  outcome: outcomes[measure],
  failsBesides: besides[measure] === 'fail',
  solid,
});

/** The same, and what is said of it. */
export function judgedBy(mark: Mark, measure: ValleyMeasure) {
  const look = lookOf(mark, measure);
  const said = `${WORDS[measure]} ${sayShare(mark.losses[measure])}, ${look.outcome}`;
  return { look, said: look.failsBesides ? `${said}; fails by something else` : said };
}
