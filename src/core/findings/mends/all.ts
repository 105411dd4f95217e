import type { MeasureName } from '../../measure/limit';
import type { Mend, Mender, Sick } from '../mend';
import { barSigns, oneGround, otherInk, pairGround, scrim } from './colours';
import { centreByInk, otherFits, solvedPosition } from './fits';
import { largerFiles, largerPicture, otherCut } from './pictures';
import {
  besideTheHinge,
  mendWhatItLeansOn,
  smallerType,
  toTheBottom,
  toTheTop,
  asLargeAsSharp,
  below,
  fillTheScreen,
  intoTheSafeArea,
  larger,
  ownExtent,
  smaller,
  toTheScreen,
} from './places';
import { hide } from './hide';
import { moreLines, otherFont, readableType, withoutLetters } from './letters';

/** What may help against what, the likeliest first. */
const MENDERS: Partial<Record<MeasureName, readonly Mender[]>> = {
  crop: [solvedPosition, otherCut, otherFits, smaller, intoTheSafeArea, toTheScreen, mendWhatItLeansOn],
  'keep-lost': [solvedPosition, otherCut, otherFits],
  'keep-hidden': [solvedPosition, otherFits],
  bare: [otherFits, toTheScreen],
  'bare-screen': [toTheScreen, fillTheScreen, otherFits],
  distortion: [otherFits, otherCut],
  enlargement: [largerFiles, largerPicture, otherCut, asLargeAsSharp, otherFits],
  excess: [otherFits],
  'clearance-safe': [intoTheSafeArea, smaller, mendWhatItLeansOn, smallerType, toTheTop],
  'clearance-screen': [intoTheSafeArea, smaller],
  'under-cutout': [intoTheSafeArea, besideTheHinge, smaller],
  'outside-corner': [intoTheSafeArea, smaller],
  'under-bar': [intoTheSafeArea, smaller],
  'across-fold': [smaller],
  'off-centre': [centreByInk],
  'off-centre-screen': [centreByInk, toTheScreen],
  'off-centre-safe': [centreByInk, intoTheSafeArea],
  'share-width': [smaller, larger],
  'share-height': [smaller, larger],
  'share-area': [smaller, larger],
  spill: [otherFits],
  overlap: [below, toTheTop, toTheBottom, smaller, mendWhatItLeansOn],
  contrast: [scrim, otherInk],
  collapse: [ownExtent, hide],
  'missing-letters': [otherFont, withoutLetters],
  'cut-off': [intoTheSafeArea, smallerType, smaller, toTheScreen, mendWhatItLeansOn],
  shortened: [moreLines, smallerType, larger],
  'letter-size': [readableType],
  'bar-contrast': [barSigns],
  grounds: [oneGround],
  unpaired: [pairGround],
};

/** Everything that might help; whether it does has not been looked at. */
export const candidates = (sick: Sick): Mend[] =>
  (MENDERS[sick.finding.measure] ?? []).flatMap((mender) => mender(sick));
