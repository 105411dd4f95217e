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
  };
}

/**
 * How many pixels each picture would need for no case to enlarge it, with the case that asks for the most; by picture,
 * one entry for each cut and appearance that is drawn.
 */
export function pixelsNeeded(inputs: readonly SurveyInput[], cases: readonly Case[]): Map<string, Needed[]> {
  const most = new Map<string, Map<string, Needed>>();
  for (const input of inputs) {
    for (const c of cases) {
      for (const layer of surveyCase(input, c).layers) {
        if (layer.kind !== 'picture') continue;
        const ofPicture = most.get(layer.pictureId) ?? new Map<string, Needed>();
        most.set(layer.pictureId, ofPicture);
        const now = asked(layer, c);
        const before = ofPicture.get(keyOf(layer));
        if (!before || now.widthPx > before.widthPx) ofPicture.set(keyOf(layer), now);
      }
    }
  }
  return new Map([...most].map(([id, list]) => [id, [...list.values()]]));
}
