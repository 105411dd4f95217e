import { z } from 'zod';
import { Id } from '../scene/values';
import type { Breach } from './judge';
import { MEASURES } from './limit';

/** A breach that somebody has looked at and takes as it is, on the screens that are named; it stays visible. */
export const Acceptance = z.looseObject({
  scene: Id,
  /** of the layer; `bar:…` of a bar, `scene` of the scene as a whole */
  layer: z.string().min(1).max(64),
  measure: z.enum(MEASURES),
  screens: z.array(Id).min(1).max(500),
  reason: z.string().min(1, 'Say why it is accepted.').max(400),
});
export type Acceptance = z.infer<typeof Acceptance>;

/** The breaches of a case, those that are accepted with their reason. */
export const withAccepted = (
  breaches: readonly Breach[],
  screenId: string,
  accepted: readonly Acceptance[],
): Breach[] =>
  breaches.map((b) => {
    const found = accepted.find(
      (a) => a.layer === b.layerId && a.measure === b.limit.measure && a.screens.includes(screenId),
    );
    return found ? { ...b, accepted: found.reason } : b;
  });
