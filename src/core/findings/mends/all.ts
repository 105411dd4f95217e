import type { MenderName } from '../../measure/descriptor';
import { MEASURE } from '../../measure/limit';
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

/** The ways to think up changes, by the names that measures know them by. */
const MENDERS: Record<MenderName, Mender> = {
  asLargeAsSharp,
  barSigns,
  below,
  besideTheHinge,
  centreByInk,
  fillTheScreen,
  hide,
  intoTheSafeArea,
  larger,
  largerFiles,
  largerPicture,
  mendWhatItLeansOn,
  moreLines,
  oneGround,
  otherCut,
  otherFits,
  otherFont,
  otherInk,
  ownExtent,
  pairGround,
  readableType,
  scrim,
  smaller,
  smallerType,
  solvedPosition,
  toTheBottom,
  toTheScreen,
  toTheTop,
  withoutLetters,
};

/** Everything that might help; whether it does has not been looked at. */
export const candidates = (sick: Sick): Mend[] =>
  MEASURE[sick.finding.measure].mends.flatMap((name: MenderName) => MENDERS[name](sick));
