import type { Bounds } from '../measure/judge';
import type { MeasureName } from '../measure/limit';

interface Rule {
  id: string;
  word: string;
}

/** What is wrong, by the measure that says so; the word stands after the name of the layer. */
export const RULES = {
  crop: { id: 'over-cropped', word: 'cropped too much' },
  'keep-lost': { id: 'keep-area-cut', word: 'has a keep area cut off' },
  'keep-hidden': { id: 'keep-area-hidden', word: 'has a keep area hidden' },
  bare: { id: 'bare-box', word: 'does not fill its box' },
  'bare-screen': { id: 'bare-edge', word: 'stops short of the screen’s edge' },
  distortion: { id: 'distorted', word: 'distorted' },
  enlargement: { id: 'soft', word: 'has too few pixels' },
  excess: { id: 'wasteful', word: 'has far more pixels than are drawn' },
  'clearance-safe': { id: 'unsafe', word: 'too near the edge of the safe area' },
  'clearance-screen': { id: 'tight', word: 'too near the edge of the screen' },
  'under-cutout': { id: 'unsafe', word: 'under a cutout' },
  'outside-corner': { id: 'unsafe', word: 'cut by a rounded corner' },
  'under-bar': { id: 'unsafe', word: 'under a bar' },
  'across-fold': { id: 'across-fold', word: 'lies across a fold' },
  'off-centre': { id: 'off-centre', word: 'looks off centre' },
  'off-centre-screen': { id: 'off-centre', word: 'off the screen’s centre' },
  'off-centre-safe': { id: 'off-centre', word: 'off the safe area’s centre' },
  'share-width': { id: 'too-small-or-large', word: 'too wide or too narrow' },
  'share-height': { id: 'too-small-or-large', word: 'too high or too low' },
  'share-area': { id: 'too-small-or-large', word: 'too large or too small' },
  spill: { id: 'spill', word: 'larger than its box' },
  overlap: { id: 'overlap', word: 'lies across another layer' },
  contrast: { id: 'low-contrast', word: 'hard to make out' },
  collapse: { id: 'collapsed', word: 'collapsed to nothing' },
  'missing-letters': { id: 'missing-letters', word: 'has letters that its font lacks' },
  'cut-off': { id: 'cut-off', word: 'cut off in part' },
  shortened: { id: 'shortened', word: 'ends in an ellipsis' },
  'letter-size': { id: 'too-small', word: 'set too small to be read' },
  'bar-contrast': { id: 'bar-unreadable', word: 'has signs that are hard to make out' },
  grounds: { id: 'wrong-ground', word: 'has no ground, or more than one' },
  unpaired: { id: 'missing-dark', word: 'lacks a dark half' },
} as const satisfies Record<MeasureName, Rule>;

/** Of measures that are limited at both ends: what is wrong at each. */
const ENDS: Partial<Record<MeasureName, { under: Rule; over: Rule }>> = {
  'share-width': {
    under: { id: 'too-small', word: 'too narrow' },
    over: { id: 'too-large', word: 'too wide' },
  },
  'share-height': {
    under: { id: 'too-small', word: 'too low' },
    over: { id: 'too-large', word: 'too high' },
  },
  'share-area': {
    under: { id: 'too-small', word: 'too small' },
    over: { id: 'too-large', word: 'too large' },
  },
};

interface Broken {
  limit: Bounds & { measure: MeasureName };
  value: number;
}

/** What is wrong, as exactly as it can be said of all of these: breaches of one measure, at least one. */
export function ruleOf(breaches: readonly Broken[]): Rule {
  const { measure } = breaches[0]!.limit;
  const ends = ENDS[measure];
  const under = breaches.filter(({ limit, value }) => limit.min !== undefined && value < limit.min).length;
  if (!ends || (under > 0 && under < breaches.length)) return RULES[measure];
  return under > 0 ? ends.under : ends.over;
}
