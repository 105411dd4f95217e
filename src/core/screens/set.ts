import { z } from 'zod';
import { Id } from '../values/values';
import { documentObject } from '../values/object';

/** A project has no more screens of its own, and a set no more screens, than this. */
export const MOST_SCREENS = 5000;
export const MOST_SETS = 50;

/** Some of the screens, by their ids, under a name: what one supports. */
export const ScreenSet = documentObject({
  id: Id,
  name: z.string().trim().min(1, 'A set of screens has a name.').max(60),
  screens: z.array(Id).min(1, 'A set has one screen at least.').max(MOST_SCREENS),
});
export type ScreenSet = z.infer<typeof ScreenSet>;

/** How many people use which screen, as somebody has counted them: in place of the weights that come with the catalogue. */
export const OwnWeights = documentObject({
  /** where they are from, such as the name of a file */
  source: z.string().min(1).max(120),
  /** of screens, by their ids; one that is not named weighs nothing */
  of: z.record(Id, z.number().nonnegative()),
});
export type OwnWeights = z.infer<typeof OwnWeights>;
