import type { Cut } from '../pictures/picture';
import type { Appearance } from '../values/values';
import type { Case } from '../screens/cases';
import type { SurveyInput } from './prepare';
import { surveyEach, type CaseResult, type PictureResult } from './survey';

/** How many pixels a picture is asked for, and where: width and height each by the case that asks for most of it. */
export interface Needed {
  cut: Cut['cut'];
  appearance: Appearance;
  widthPx: number;
  heightPx: number;
  /** the case that asks for the width */
  caseId: string;
  /** the case that asks for the height: the same one, unless the picture is stretched */
  heightCaseId: string;
}

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

/** Gathers from one case after another how many pixels each picture would need for none to enlarge it. */
export interface Gathering {
  add: (result: CaseResult, c: Case) => void;
  /** by picture, one entry for each cut and appearance that is drawn, with the cases that ask for the most */
  found: () => Map<string, Needed[]>;
}

export function gatherNeeded(): Gathering {
  const all = new Map<string, Map<string, Needed>>();
  const add: Gathering['add'] = ({ layers }, c) => {
    for (const layer of layers) {
      if (layer.kind !== 'picture') continue;
      const ofPicture = all.get(layer.pictureId) ?? new Map<string, Needed>();
      all.set(layer.pictureId, ofPicture);
      const now = asked(layer, c);
      const before = ofPicture.get(keyOf(layer));
      ofPicture.set(keyOf(layer), before ? most(before, now) : now);
    }
  };
  return { add, found: () => new Map([...all].map(([id, list]) => [id, [...list.values()]])) };
}

/** How many pixels each picture would need in these scenes, over all cases of each. */
export function pixelsNeeded(
  inputs: readonly SurveyInput[],
  casesFor: (input: SurveyInput) => readonly Case[],
): Map<string, Needed[]> {
  const { add, found } = gatherNeeded();
  for (const input of inputs) surveyEach(input, casesFor(input), add);
  return found();
}
