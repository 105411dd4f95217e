import { crop } from './each/crop';
import { bare } from './each/bare';
import { bareScreen } from './each/bare-screen';
import { distortion } from './each/distortion';
import { enlargement } from './each/enlargement';
import { thinLine } from './each/thin-line';
import { clearanceSafe } from './each/clearance-safe';
import { clearanceScreen } from './each/clearance-screen';
import { shareWidth } from './each/share-width';
import { shareHeight } from './each/share-height';
import { shareArea } from './each/share-area';
import { keepLost } from './each/keep-lost';
import { keepHidden } from './each/keep-hidden';
import { excess } from './each/excess';
import { underCutout } from './each/under-cutout';
import { outsideCorner } from './each/outside-corner';
import { underBar } from './each/under-bar';
import { acrossFold } from './each/across-fold';
import { offCentre } from './each/off-centre';
import { offCentreScreen } from './each/off-centre-screen';
import { offCentreSafe } from './each/off-centre-safe';
import { centreOfGravity } from './each/centre-of-gravity';
import { overlap } from './each/overlap';
import { spill } from './each/spill';
import { contrast } from './each/contrast';
import { collapse } from './each/collapse';
import { missingLetters } from './each/missing-letters';
import { cutOff } from './each/cut-off';
import { shortened } from './each/shortened';
import { letterSize } from './each/letter-size';
import { barContrast } from './each/bar-contrast';
import { grounds } from './each/grounds';
import { unpaired } from './each/unpaired';

/** Every measure, in the order in which they are listed. */
export const ALL = [
  crop,
  bare,
  bareScreen,
  distortion,
  enlargement,
  thinLine,
  clearanceSafe,
  clearanceScreen,
  shareWidth,
  shareHeight,
  shareArea,
  keepLost,
  keepHidden,
  excess,
  underCutout,
  outsideCorner,
  underBar,
  acrossFold,
  offCentre,
  offCentreScreen,
  offCentreSafe,
  centreOfGravity,
  overlap,
  spill,
  contrast,
  collapse,
  missingLetters,
  cutOff,
  shortened,
  letterSize,
  barContrast,
  grounds,
  unpaired,
] as const;
