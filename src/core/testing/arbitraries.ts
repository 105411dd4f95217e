import fc from 'fast-check';
import type { Rect, Size } from '../geometry/rect';
import { FIT_NAMES, type Fit, type FitSize } from '../fit/rule';
import {
  withoutIdleShape,
  type AxisRule,
  type Bound,
  type Edge,
  type Extent,
  type Placing,
  type Region,
} from '../placing/rule';
import type { Paint } from '../values/paint';
import type { Layer, PanelLayer, PictureLayer, TextLayer } from '../scene/scene';
import { lu, percent, type Colour, type Length } from '../values/values';
import type { TextStyle } from '../text/style';

/** Random inputs for property tests. */

const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });

export const size = (min = 1, max = 4000): fc.Arbitrary<Size> =>
  fc.record({ width: length(min, max), height: length(min, max) });

export const rect = (min = 1, max = 2000): fc.Arbitrary<Rect> =>
  fc.record({
    x: length(-500, 500),
    y: length(-500, 500),
    width: length(min, max),
    height: length(min, max),
  });

const fitSize: fc.Arbitrary<FitSize> = fc.oneof(
  fc.constantFrom(...FIT_NAMES),
  fc.record({
    width: fc.oneof(fc.constant('auto' as const), length(1, 500).map(lu), length(1, 300).map(percent)),
    height: fc.oneof(fc.constant('auto' as const), length(1, 500).map(lu), length(1, 300).map(percent)),
  }),
);

const position: fc.Arbitrary<Fit['align']> = fc
  .tuple(length(-20, 120), length(-50, 50), length(-20, 120), length(-50, 50))
  .map(([px, ox, py, oy]) => ({
    kind: 'position',
    x: { percent: px, offset: lu(ox) },
    y: { percent: py, offset: lu(oy) },
  }));

export const singleFit: fc.Arbitrary<Fit> = fc.record({
  size: fitSize,
  repeat: fc.constant({ x: 'no-repeat' as const, y: 'no-repeat' as const }),
  align: fc.oneof(position, fc.constant({ kind: 'focal' as const })),
  clip: fc.boolean(),
  cornerRadius: fc.constant(lu(0)),
});

const repeat = fc.constantFrom('repeat' as const, 'space' as const, 'round' as const);

export const repeatedFit: fc.Arbitrary<Fit> = fc.record({
  size: fitSize,
  repeat: fc.record({ x: repeat, y: repeat }),
  align: position,
  clip: fc.constant(true),
  cornerRadius: fc.constant(lu(0)),
});

export const share = length(0, 1);

const whole = (min: number, max: number) => fc.integer({ min, max });

export const anyLength: fc.Arbitrary<Length> = fc.oneof(
  fc.record({
    value: whole(-300, 300),
    unit: fc.constantFrom('lu' as const, '%' as const, 'px' as const),
  }),
  fc.constant({ named: 'gap' }),
);

export const region: fc.Arbitrary<Region> = fc.constantFrom(
  'screen',
  'safe',
  'content',
  'margins',
  'parent',
  'layer:emblem',
);

const optional = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });

/** Without the keys that are absent, as documents have it. */
const compact = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, v]) => v !== undefined)) as T;

const side = fc.constantFrom('start' as const, 'end' as const);
const edge: fc.Arbitrary<Edge> = fc.record({ region, side: optional(side), offset: anyLength }).map(compact);
const basis = fc.oneof(region, fc.constantFrom('short' as const, 'long' as const));
const bound: fc.Arbitrary<Bound> = fc.record({ length: anyLength, of: optional(basis) }).map(compact);

export const extentRule: fc.Arbitrary<Extent> = fc
  .tuple(
    fc.constantFrom('length' as const, 'natural' as const, 'from-ratio' as const, 'hug' as const),
    anyLength,
    optional(basis),
    optional(bound),
    optional(bound),
  )
  .map(([kind, value, of, min, max]) =>
    compact(kind === 'length' ? { kind, length: value, of, min, max } : { kind, min, max }),
  );

const axisRule: fc.Arbitrary<AxisRule> = fc.oneof(
  fc.record({ kind: fc.constant('edges' as const), start: edge, end: edge }),
  // Alike on both sides, which is said in fewer words.
  edge.map((e) => ({ kind: 'edges' as const, start: e, end: e })),
  fc.record({ kind: fc.constantFrom('start' as const, 'end' as const), edge, extent: extentRule }),
  fc.record({ kind: fc.constant('middle' as const), region, shift: anyLength, extent: extentRule }),
);

export const ratio = fc.record({
  value: fc.oneof(fc.constant('own' as const), fc.constantFrom(1, 16 / 9, 0.75, 1.85)),
  strict: fc.boolean(),
});

/** As the editors give it, which need not be one that can be drawn. */
export const placing: fc.Arbitrary<Placing> = fc.oneof(
  fc.record({ x: axisRule, y: axisRule, ratio: optional(ratio) }).map((p) => withoutIdleShape(compact(p))),
  edge.map((e): Placing => {
    const rule = { kind: 'edges' as const, start: e, end: e };
    return { x: rule, y: rule };
  }),
);

const hex = fc.constantFrom('#12303b', '#ffffff', '#0e6a7880');
export const colour: fc.Arbitrary<Colour> = fc.oneof(
  fc.record({ light: hex, dark: optional(hex) }).map(compact),
  fc.constant({ named: 'deep-water' }),
);

const stops = fc
  .array(fc.record({ colour, at: whole(0, 100) }), { minLength: 2, maxLength: 5 })
  .map((list) => list.toSorted((a, b) => a.at - b.at));

export const paint: fc.Arbitrary<Paint> = fc.oneof(
  colour,
  fc.record({ gradient: fc.constant('linear' as const), angle: whole(-360, 360), stops }),
  fc.record({
    gradient: fc.constant('radial' as const),
    centre: fc.record({ x: whole(0, 100), y: whole(0, 100) }),
    stops,
  }),
);

const place = fc.constantFrom('start' as const, 'middle' as const, 'end' as const);
export const textStyle: fc.Arbitrary<TextStyle> = fc
  .record({
    font: fc.constantFrom('sans' as const, 'serif' as const),
    weight: fc.constantFrom(400 as const, 700 as const),
    size: whole(6, 80),
    lineHeight: fc.constantFrom(1, 1.3, 2),
    colour,
    align: fc.record({ x: place, y: place }),
    maxLines: optional(whole(1, 5)),
    shrinkTo: optional(whole(4, 20)),
  })
  .map(compact);

const common = {
  id: fc.constant('layer'),
  name: fc.constant('Layer'),
  role: fc.constantFrom('background' as const, 'logo' as const, 'text' as const, 'other' as const),
  visible: fc.boolean(),
  opacity: optional(fc.constantFrom(0, 0.4, 1)),
};
const placed = { ...common, parent: optional(fc.constant('form')), placing };
export const anyFit = fc.oneof(singleFit, repeatedFit);

export const anyLayer: fc.Arbitrary<Layer> = fc.oneof(
  fc.record({ ...common, kind: fc.constant('ground' as const), colour: paint }).map(compact),
  fc
    .record({
      ...placed,
      kind: fc.constant('picture' as const),
      picture: fc.constant('harbour'),
      fit: anyFit,
      tint: optional(colour),
    })
    .map((l) => compact(l) as PictureLayer),
  fc
    .record({
      ...placed,
      kind: fc.constant('text' as const),
      text: fc.constantFrom('', 'Winter sailings', 'A longer line of text that does not end so soon'),
      style: textStyle,
    })
    .map((l) => compact(l) as TextLayer),
  fc
    .record({
      ...placed,
      kind: fc.constant('panel' as const),
      colour: paint,
      cornerRadius: anyLength,
      padding: fc.record({ left: anyLength, right: anyLength, top: anyLength, bottom: anyLength }),
      clip: fc.boolean(),
    })
    .map((l) => compact(l) as PanelLayer),
);
