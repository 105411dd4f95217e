import { z } from 'zod';
import { MOST_SCREENS } from '../screens/set';
import { Id } from '../values/values';
import type { Bounds, Breach } from './judge';
import { MeasureId, MeasureSide } from './limit';
import { documentObject } from '../values/object';

/** Of cases on which something is accepted: four a screen. */
export const MOST_GIVEN = 4 * MOST_SCREENS;

/** What a case was like when it was accepted: in one orientation and appearance, with the value that it had. */
export const Given = z.strictObject({
  case: z.string().min(1).max(200),
  side: MeasureSide.optional(),
  value: z.number(),
});
export type Given = z.infer<typeof Given>;

/**
 * A breach that somebody has looked at and takes as it is; it stays visible. It opens again on a case that gets worse, and
 * on one that was not broken then.
 */
export const Acceptance = documentObject({
  scene: Id,
  /** of the layer; `bar:…` of a bar, `scene` of the scene as a whole */
  layer: z.string().min(1).max(64),
  measure: MeasureId,
  screens: z.array(Id).min(1).max(MOST_SCREENS),
  /** without it, as it was accepted earlier, every case of these screens, whatever its value */
  given: z.array(Given).max(MOST_GIVEN).optional(),
  reason: z.string().min(1, 'Say why it is accepted.').max(400),
});
export type Acceptance = z.infer<typeof Acceptance>;

/** On which cases something is accepted, and why, whatever it is. */
export type AcceptedOn = Pick<Acceptance, 'screens' | 'given' | 'reason'>;

/** The last bits of a sum are not worse; a part in a million of the value is not seen. */
const slack = (value: number) => 1e-9 + Math.abs(value) * 1e-6;

/** Whether a value is greater than one that was accepted, by more than rounding. */
export const isMore = (value: number, accepted: number): boolean => value > accepted + slack(accepted);

/** Whether a value is further beyond its limit than one that was accepted. */
export function isWorse({ limit, value }: { limit: Bounds; value: number }, accepted: number): boolean {
  const isUnder = limit.min !== undefined && value < limit.min;
  return isUnder ? isMore(-value, -accepted) : isMore(value, accepted);
}

/** A case, and the screen that it is of. */
export interface OnCase {
  caseId: string;
  screenId: string;
}

/** Whether what is accepted on some cases takes in a breach on one. */
export const coversCase = ({ screens, given }: AcceptedOn, b: Breach<Bounds>, on: OnCase): boolean =>
  screens.includes(on.screenId) &&
  (!given || given.some((g) => g.case === on.caseId && g.side === b.limit.side && !isWorse(b, g.value)));

const accepts = (a: Acceptance, b: Breach, on: OnCase): boolean =>
  a.layer === b.subjectId && a.measure === b.limit.measure && coversCase(a, b, on);

/** The breaches of a case, those that are accepted with their reason. */
export const withAccepted = (
  breaches: readonly Breach[],
  on: OnCase,
  accepted: readonly Acceptance[],
): Breach[] =>
  breaches.map((b) => {
    const found = accepted.find((a) => accepts(a, b, on));
    return found ? { ...b, accepted: found.reason } : b;
  });
