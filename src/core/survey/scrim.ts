import { leastScrim } from '../measure/contrast';
import { countOf, rgbaOf } from '../pixels/raster';
import type { Case } from '../screens/cases';
import { inkOn } from './contrast';
import type { SurveyInput } from './prepare';
import { surveyCase } from './survey';

/** A scrim that is enough on all cases. */
export interface Scrim {
  /** `#000000` or `#ffffff` */
  colour: string;
  /** 0..1 */
  alpha: number;
  /** the case that asks for so much */
  caseId: string;
}

const SCRIMS = ['#000000', '#ffffff'];

/**
 * The scrim of least alpha under a text or a logo with which its contrast is at least as asked for on every case: black
 * or white, whichever needs less. `null` where neither does it, or where nothing is known of the layer.
 * @param least contrast ratio, such as 3 or 4.5
 */
export function scrimFor(
  input: SurveyInput,
  cases: readonly Case[],
  layerId: string,
  least: number,
): Scrim | null {
  const found = cases.flatMap((c) => {
    const ink = inkOn(surveyCase(input, c), layerId, input);
    return ink ? [{ caseId: c.id, ...ink }] : [];
  });
  if (found.length === 0) return null;
  const enough = SCRIMS.flatMap((colour) => {
    const alphas = found.map(({ caseId, tiles, scrimmed }) => ({
      colour,
      caseId,
      alpha: leastScrim(countOf(tiles), least, (i, a) => scrimmed(i, { ...rgbaOf(colour), a })) ?? Infinity,
    }));
    const most = alphas.reduce((a, b) => (b.alpha > a.alpha ? b : a));
    return most.alpha === Infinity ? [] : [most];
  });
  return enough.toSorted((a, b) => a.alpha - b.alpha)[0] ?? null;
}
