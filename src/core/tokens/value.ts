import type { Color } from 'culori';
import { z } from 'zod';
import { keptColour, readColour } from '../values/css-colour';
import { PlainLength, type NamedValue } from '../values/values';
import { type Json } from './tree';
import { isObject } from '../patch/patch';

/**
 * Values of tokens as named values, and back. Source: Design Tokens Community Group, Format and Color Modules 2025.10. A
 * logical unit is one CSS pixel, which the format calls `px`; what it has no words for (shares, device pixels, the dark
 * half of a colour) goes into an extension of our own, so that it comes back.
 */
const EXTENSION = 'org.coulee';

/** A value that stands by itself. */
export type Plain = Exclude<NamedValue['value'], { named: string }>;

/** A value that could be read, perhaps not just as it was written; or why it could not. */
export type Read = { value: Plain; note?: string } | { why: string };

const Own = z.object({ dark: z.unknown().optional(), unit: z.enum(['lu', '%', 'px']).optional() });

const own = (json: Json): z.infer<typeof Own> => {
  const found = isObject(json.$extensions) ? json.$extensions[EXTENSION] : undefined;
  const read = Own.safeParse(found);
  return read.success ? read.data : {};
};

/** Colour spaces of the format: what each is called by the library, its channels, and what they are divided by. */
const SPACES: Record<string, [mode: Color['mode'], channels: string, scale?: [number, number, number]]> = {
  srgb: ['rgb', 'rgb'],
  'srgb-linear': ['lrgb', 'rgb'],
  hsl: ['hsl', 'hsl', [1, 100, 100]],
  hwb: ['hwb', 'hwb', [1, 100, 100]],
  lab: ['lab', 'lab'],
  lch: ['lch', 'lch'],
  oklab: ['oklab', 'lab'],
  oklch: ['oklch', 'lch'],
  'display-p3': ['p3', 'rgb'],
  'a98-rgb': ['a98', 'rgb'],
  'prophoto-rgb': ['prophoto', 'rgb'],
  rec2020: ['rec2020', 'rgb'],
  'xyz-d65': ['xyz65', 'xyz'],
  'xyz-d50': ['xyz50', 'xyz'],
};

const Component = z.union([z.number(), z.literal('none')]);
const ColourValue = z.object({
  colorSpace: z.string(),
  components: z.tuple([Component, Component, Component]),
  alpha: Component.optional(),
});

function readColourValue(json: unknown): { hex: string; note?: string } | string {
  const say = ({ hex, isMapped }: { hex: string; isMapped: boolean }) =>
    isMapped ? { hex, note: `sRGB does not have it, and ${hex} is the nearest` } : { hex };
  if (typeof json === 'string') {
    // Before 2025.10 a colour was written as its hex code.
    const typed = readColour(json);
    return typed ? say(typed) : `“${json.slice(0, 40)}” is no colour`;
  }
  const colour = ColourValue.safeParse(json);
  if (!colour.success) return 'a colour has a colorSpace and three components';
  const { colorSpace, components, alpha = 1 } = colour.data;
  const space = SPACES[colorSpace];
  if (!space) return `the colour space ${colorSpace.slice(0, 40)} is not known`;
  const [mode, channels, scale = [1, 1, 1]] = space;
  const parts = components.map((c, i) => [channels[i]!, c === 'none' ? 0 : c / scale[i]!]);
  const found = {
    mode,
    ...Object.fromEntries(parts),
    alpha: alpha === 'none' ? 0 : alpha,
  } as unknown as Color;
  return say(keptColour(found));
}

function readColourToken(json: Json): Read {
  const light = readColourValue(json.$value);
  if (typeof light === 'string') return { why: light };
  const { dark: written } = own(json);
  const dark = written === undefined ? undefined : readColourValue(written);
  const half = typeof dark === 'object' ? { dark: dark.hex } : {};
  return { value: { light: light.hex, ...half }, ...(light.note && { note: light.note }) };
}

const REM = 16;
const UNITS: Record<string, number> = { px: 1, rem: REM };

/** A dimension as its number and its unit, also as text, as it was written before 2025.10; `null` for what is none. */
function dimensionOf(json: unknown): { value: number; unit: string } | null {
  const text = typeof json === 'string' ? /^(-?\d*\.?\d+)([a-z%]*)$/i.exec(json) : null;
  if (text) return { value: Number(text[1]), unit: text[2]! };
  const { value, unit } = isObject(json) ? json : {};
  return typeof value === 'number' && typeof unit === 'string' ? { value, unit } : null;
}

function readDimension({ $value }: Json): Read {
  const found = dimensionOf($value);
  if (!found) return { why: 'a dimension is a number with a unit' };
  const factor = UNITS[found.unit];
  if (factor === undefined) return { why: `of dimensions only px and rem are read, not “${found.unit}”` };
  return { value: { value: found.value * factor, unit: 'lu' } };
}

/** The value of a token of a known type that refers to no other. */
export function readValue(type: unknown, json: Json): Read {
  if (type === 'color') return readColourToken(json);
  if (type === 'dimension') return readDimension(json);
  const { unit } = own(json);
  if (type === 'number' && unit) {
    const length = PlainLength.safeParse({ value: json.$value, unit });
    return length.success ? { value: length.data } : { why: 'a share is a number' };
  }
  return {
    why: `tokens of the type ${typeof type === 'string' ? type : 'that is not given'} are not used here`,
  };
}

function colourToken(hex: string): Json {
  const part = (i: number) => parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16) / 255;
  const round = (v: number) => Math.round(v * 10000) / 10000;
  return {
    colorSpace: 'srgb',
    components: [0, 1, 2].map((i) => round(part(i))),
    ...(hex.length === 9 && { alpha: round(part(3)) }),
    hex: hex.slice(0, 7),
  };
}

/** The extensions of a token with our own part changed; the others are somebody else’s. */
function withOwn(json: Json, part: Json | null): Json {
  const { [EXTENSION]: _, ...others } = isObject(json.$extensions) ? json.$extensions : {};
  const { $extensions: _extensions, ...rest } = json;
  const all = { ...others, ...(part && { [EXTENSION]: part }) };
  return Object.keys(all).length > 0 ? { ...rest, $extensions: all } : rest;
}

/** A length in the unit that the token had, where that is one of the format’s. */
function dimensionLike(json: Json, value: number): Json | string {
  const was = dimensionOf(json.$value);
  const unit = was && was.unit in UNITS ? was.unit : 'px';
  const amount = value / UNITS[unit]!;
  return typeof json.$value === 'string' ? `${amount}${unit}` : { value: amount, unit };
}

/**
 * A token with another value; what else it says stays.
 * @param type that holds for it already, so that it need not be said again
 */
export function withValue(json: Json, value: Plain, type: unknown): Json {
  const typed = (wanted: string) => (type === wanted ? {} : { $type: wanted });
  if ('light' in value) {
    const next = { ...json, ...typed('color'), $value: colourToken(value.light) };
    return withOwn(next, value.dark ? { dark: colourToken(value.dark) } : null);
  }
  if (value.unit === 'lu') {
    const next = { ...json, ...typed('dimension'), $value: dimensionLike(json, value.value) };
    return withOwn(next, own(json).unit ? { unit: 'lu' } : null);
  }
  return withOwn({ ...json, ...typed('number'), $value: value.value }, { unit: value.unit });
}

/** A new token. Of a length it is said that a px of the format is one lu, and none of the device. */
export function newToken(value: Plain): Json {
  const token = withValue({}, value, undefined);
  return 'unit' in value && value.unit === 'lu' ? withOwn(token, { unit: 'lu' }) : token;
}
