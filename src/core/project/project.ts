import { z } from 'zod';
import { FileAcceptance } from './file-limits';
import { Launch } from './launch';
import { DeviceCheck, Evidence } from './proof';
import { Acceptance } from '../measure/accept';
import { Limit } from '../measure/limit';
import { Naming } from '../pictures/naming';
import { Picture } from '../pictures/picture';
import { Axes } from '../screens/axes';
import { OwnScreen } from '../screens/own';
import { MOST_SCREENS, MOST_SETS, OwnWeights, ScreenSet } from '../screens/set';
import { ProjectFont } from '../text/style';
import { KeptTokens } from '../tokens/tree';
import { Id, NamedValue } from '../values/values';
import { documentObject } from '../values/object';

/**
 * Version of the documents that this build writes; older ones are migrated, newer ones refused.
 * 2: no shape beside two given extents; a limit on letters that fonts lack. 3: what is drawn is judged whatever its role.
 * 4: a limit on files that are far larger than drawn; a named value may stand for another. 5: a limit on logos that are
 * heavier on one side. 6: a limit on lines that are thinner than a px. 7: keys that nobody knows stand under `extensions` alone.
 */
export const SCHEMA_VERSION = 7;

/** A project has no more named values than this. */
export const MOST_NAMED = 500;
const MOST_PICTURES = 1000;
const MOST_SCENES = 500;

const Sizes = z
  .strictObject({ low: z.number().positive(), high: z.number().positive() })
  .refine(({ low, high }) => low < high, 'The least size has to be smaller than the greatest.');

/** `screens` are the project's own; the catalogue is always there besides them. */
export const Project = documentObject({
  id: Id,
  schema: z.literal(SCHEMA_VERSION),
  name: z.string().min(1).max(120),
  pictures: z.array(Picture).max(MOST_PICTURES),
  named: z.array(NamedValue).max(MOST_NAMED),
  screens: z.array(OwnScreen).max(MOST_SCREENS),
  /** some of all screens under a name each */
  screenSets: z.array(ScreenSet).max(MOST_SETS).optional(),
  /** the set that is looked at; every screen when absent */
  setInUse: Id.optional(),
  /** what screens are looked at in besides, such as sizes of text; nothing when absent */
  axes: Axes.optional(),
  /** how many people have which screen; those that come with the catalogue when absent */
  weights: OwnWeights.optional(),
  limits: z.array(Limit).max(200),
  scenes: z.array(Id).max(MOST_SCENES),
  /** breaches that are taken as they are */
  accepted: z.array(Acceptance).max(2000).optional(),
  /** findings on files that are taken as they are */
  acceptedFiles: z.array(FileAcceptance).max(2000).optional(),
  /** the ratios, width : height, that windows of the app may have; any when absent */
  ratios: z
    .strictObject({ low: z.number().positive(), high: z.number().positive() })
    .refine(({ low, high }) => low < high, 'The least ratio has to be smaller than the greatest.')
    .optional(),
  /** the sizes, lu, that windows of the app may have; any when absent */
  windowSizes: z.strictObject({ width: Sizes, height: Sizes }).optional(),
  /** the design tokens that were taken in, with all that is not used here, so that they come back as they were */
  tokens: KeptTokens.optional(),
  /** from the tap to the first screen */
  launches: z.array(Launch).max(20).optional(),
  /** fonts that were imported, besides those that come with the product */
  fonts: z.array(ProjectFont).max(50).optional(),
  /** how names of files are read; the usual way when absent */
  naming: Naming.optional(),
  /** the densities that a picture of several files should have, px per lu; the usual ones when absent */
  densities: z.array(z.number().positive()).min(1).max(12).optional(),
  /** real screenshots, the latest last, and what each said */
  evidence: z.array(Evidence).max(500).optional(),
  /** what was looked at on real devices */
  checked: z.array(DeviceCheck).max(2000).optional(),
  /** the sets of slots that icons are made for; the usual ones when absent */
  iconSets: z.array(Id).min(1).max(40).optional(),
});
export type Project = z.infer<typeof Project>;
