import { z } from 'zod';
import { Fit } from '../fit/rule';
import type { Size } from '../geometry/rect';
import { Placing } from '../placing/rule';

const width = z.number().nonnegative();

/**
 * A rule that differs on some screens. It holds where every condition that it names does: the orientation of the
 * case, and the width of the turned screen in lu, both ends included. What it does not give stays as it is.
 */
export const When = z
  .object({
    orientation: z.enum(['portrait', 'landscape']).optional(),
    minWidth: width.optional(),
    maxWidth: width.optional(),
    placing: Placing.optional(),
    fit: Fit.optional(),
    visible: z.boolean().optional(),
  })
  .refine((w) => w.orientation !== undefined || w.minWidth !== undefined || w.maxWidth !== undefined, {
    message: 'A rule that differs needs to say when: an orientation or a width.',
  });
export type When = z.infer<typeof When>;

/** Whether a rule holds on a screen of this size, as it is turned; a square counts as portrait. */
export function holds(when: When, size: Size): boolean {
  const orientation = size.width > size.height ? 'landscape' : 'portrait';
  return (
    (when.orientation === undefined || when.orientation === orientation) &&
    size.width >= (when.minWidth ?? 0) &&
    size.width <= (when.maxWidth ?? Infinity)
  );
}

interface Changeable {
  placing: Placing;
  fit?: Fit;
  visible: boolean;
  when?: When[];
}

/** Which of the rules that differ holds on a screen of this size, the first of them; −1 for none. */
export const ruleOn = (rules: readonly When[], size: Size): number => rules.findIndex((w) => holds(w, size));

/** Which rule gives the fit on a screen of this size: its place among those that differ, −1 for the usual one. */
export function fitRuleOn({ when = [] }: Pick<Changeable, 'when'>, size: Size): number {
  const rule = ruleOn(when, size);
  return when[rule]?.fit ? rule : -1;
}

/** The fit that stands in a rule: one of those that differ, or the usual one for −1. */
export const fitOf = (layer: { fit: Fit; when?: When[] }, rule: number): Fit =>
  layer.when?.[rule]?.fit ?? layer.fit;

/** A layer as it is on a screen of this size: the first rule that holds wins. */
export function onSize<L extends Changeable>(layer: L, size: Size): L {
  const rule = layer.when?.[ruleOn(layer.when, size)];
  if (!rule) return layer;
  return {
    ...layer,
    placing: rule.placing ?? layer.placing,
    ...(layer.fit && { fit: rule.fit ?? layer.fit }),
    visible: rule.visible ?? layer.visible,
  };
}
