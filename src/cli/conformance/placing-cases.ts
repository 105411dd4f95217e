import { z } from 'zod';
import { fromSize, inset } from '@/core/geometry/rect';
import { resolveBoxes } from '@/core/placing/resolve';
import { Basis, Edge, Placing, Region, type AxisRule, type Bound, type Extent } from '@/core/placing/rule';
import { PlainLength } from '@/core/values/values';
import { missFields, type Verdict } from './report';

const Size = z.object({ width: z.number(), height: z.number() });
const Insets = z.object({ top: z.number(), right: z.number(), bottom: z.number(), left: z.number() });
const Share = PlainLength.extend({ of: Basis.optional() });
const bounds = { min: Share.optional(), max: Share.optional() };
const ExtentCase = z.discriminatedUnion('kind', [
  Share.extend({ kind: z.literal('length'), ...bounds }),
  z.object({ kind: z.literal('natural'), ...bounds }),
  z.object({ kind: z.literal('ratio'), ...bounds }),
]);
const AxisCase = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('edges'), start: Edge, end: Edge }),
  z.object({ kind: z.literal('start'), edge: Edge, extent: ExtentCase }),
  z.object({ kind: z.literal('end'), edge: Edge, extent: ExtentCase }),
  z.object({ kind: z.literal('middle'), region: Region, shift: PlainLength, extent: ExtentCase }),
]);
const PlacingCase = z.object({
  id: z.string(),
  screen: Size.extend({ density: z.number() }),
  insets: Insets,
  bars: Insets,
  margins: Insets,
  layers: z.array(
    z.object({
      name: z.string(),
      natural: Size.optional(),
      placing: z.object({ x: AxisCase, y: AxisCase, ratio: z.unknown().optional() }),
    }),
  ),
  expected: z.record(z.string(), z.record(z.string(), z.number())),
  tolerance: z.number(),
});

function bound(share: z.infer<typeof Share> | undefined): Bound | undefined {
  return share && { length: { value: share.value, unit: share.unit }, of: share.of };
}

function extentOf(e: z.infer<typeof ExtentCase>): Extent {
  const minMax = { min: bound(e.min), max: bound(e.max) };
  if (e.kind === 'length') {
    return { kind: 'length', length: { value: e.value, unit: e.unit }, of: e.of, ...minMax };
  }
  return { kind: e.kind === 'ratio' ? 'from-ratio' : 'natural', ...minMax };
}

function axisRule(a: z.infer<typeof AxisCase>): AxisRule {
  return a.kind === 'edges' ? a : { ...a, extent: extentOf(a.extent) };
}

/** Holds the boxes that the core resolves against those that a browser engine laid out. */
export function checkPlacingCase(json: unknown): Verdict {
  const c = PlacingCase.parse(json);
  const screen = fromSize(c.screen);
  const safe = inset(screen, c.insets);
  const regions = { screen, safe, content: inset(screen, c.bars), margins: inset(safe, c.margins) };
  const layers = c.layers.map(({ name, natural, placing }) => ({
    id: name,
    natural,
    placing: Placing.parse({ x: axisRule(placing.x), y: axisRule(placing.y), ratio: placing.ratio }),
  }));
  const boxes = resolveBoxes(layers, { regions, density: c.screen.density });
  return Object.entries(c.expected).flatMap(([name, box]) =>
    missFields(name, boxes.get(name) ?? null, box, c.tolerance),
  );
}
