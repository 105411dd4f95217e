import { ownerName } from '@/core/measure/words';
import type { Case } from '@/core/screens/cases';
import { caseName } from '@/core/screens/words';
import { summarise } from '@/core/solve/summary';
import type { CaseResult } from '@/core/survey/survey';

/**
 * What is written below the picture of a case, line by line: which it is, and what is worst on it.
 * @param alike number of other cases that are drawn alike
 * @param layers of the scene, for their names
 */
export function captionOf(
  c: Case,
  result: CaseResult,
  alike: number,
  layers: readonly { id: string; name: string }[],
): string[] {
  const { headline } = summarise(result);
  const worst = headline ? `${ownerName(headline.layerId, layers)}: ${headline.words}` : 'clear';
  const others = alike > 0 ? ` and ${alike} like it` : '';
  return [`${caseName(c)}, ${c.appearance}${others}`, worst];
}
