import type { Needed } from '../pictures/check';
import type { Case } from '../screens/cases';
import type { SurveyInput } from './prepare';
import { surveyCase, type PictureResult } from './survey';

const keyOf = ({ cut, rendition }: PictureResult) => `${cut} ${rendition.appearance}`;

function asked(layer: PictureResult, c: Case): Needed {
  const { width, height } = layer.placement.drawn;
  const { density } = c.screen;
  // The last bit of a product asks for no further pixel.
  const px = (length: number) => Math.ceil(length * density - 1e-6);
  return {
    cut: layer.cut,
    appearance: layer.rendition.appearance,
    widthPx: px(width),
    heightPx: px(height),
    caseId: c.id,
    heightCaseId: c.id,
  };
}

/** What is enough for both: of each axis what is asked for most. */
function most(a: Needed, b: Needed): Needed {
  const wide = b.widthPx > a.widthPx ? b : a;
  // A picture that keeps its shape is asked for both by one case.
  const high = b.heightPx > a.heightPx ? b : a.heightPx > b.heightPx ? a : wide;
  return {
    ...wide,
    heightPx: high.heightPx,
    heightCaseId: high === wide ? wide.heightCaseId : high.heightCaseId,
  };
}

/**
 * How many pixels each picture would need for no case to enlarge it, with the cases that ask for the most; by picture,
 * one entry for each cut and appearance that is drawn.
 */
export function pixelsNeeded(inputs: readonly SurveyInput[], cases: readonly Case[]): Map<string, Needed[]> {
  const all = new Map<string, Map<string, Needed>>();
  for (const input of inputs) {
    for (const c of cases) {
      for (const layer of surveyCase(input, c).layers) {
        if (layer.kind !== 'picture') continue;
        const ofPicture = all.get(layer.pictureId) ?? new Map<string, Needed>();
        all.set(layer.pictureId, ofPicture);
        const now = asked(layer, c);
        const before = ofPicture.get(keyOf(layer));
        ofPicture.set(keyOf(layer), before ? most(before, now) : now);
      }
    }
  }
  return new Map([...all].map(([id, list]) => [id, [...list.values()]]));
}
