import { z } from 'zod';
import { HexColour, PlainLength, type NamedValue } from './values';

/**
 * Named values as design tokens. Source: Design Tokens Community Group, Format Module 2025.10. A logical unit is one
 * CSS pixel, which the format calls `px`; what the format has no words for (shares, device pixels, the dark half of
 * a colour) goes into an extension of our own, so that it comes back.
 */
const EXTENSION = 'org.coulee';

const ColourValue = z.object({
  colorSpace: z.string(),
  components: z.array(z.union([z.number(), z.literal('none')])),
  alpha: z.number().optional(),
  hex: z.string().optional(),
});
const DimensionValue = z.object({ value: z.number(), unit: z.enum(['px', 'rem']) });
const Own = z.object({ dark: ColourValue.optional(), unit: z.enum(['%', 'px']).optional() });

type Json = Record<string, unknown>;
type Value = NamedValue['value'];

const byte = (share: number) => Math.round(Math.max(0, Math.min(1, share)) * 255);
const hexByte = (value: number) => value.toString(16).padStart(2, '0');

function colourToken(hex: string) {
  const part = (i: number) => parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16) / 255;
  const round = (v: number) => Math.round(v * 10000) / 10000;
  return {
    colorSpace: 'srgb',
    components: [0, 1, 2].map((i) => round(part(i))),
    ...(hex.length === 9 && { alpha: round(part(3)) }),
    hex: hex.slice(0, 7),
  };
}

function token(value: Value): Json {
  if ('light' in value) {
    const dark = value.dark && { $extensions: { [EXTENSION]: { dark: colourToken(value.dark) } } };
    return { $type: 'color', $value: colourToken(value.light), ...dark };
  }
  if (value.unit === 'lu') return { $type: 'dimension', $value: { value: value.value, unit: 'px' } };
  return { $type: 'number', $value: value.value, $extensions: { [EXTENSION]: { unit: value.unit } } };
}

/** A name that the format allows: no `.`, `{` or `}`, and no `$` in front. */
const tokenName = (name: string) => name.replaceAll(/[.{}]/g, '-').replace(/^\$+/, '');

/** All named values as one design tokens document. A name that is there twice gets a number. */
export function writeTokens(named: readonly NamedValue[]): Json {
  const out: Json = {};
  for (const { name, value } of named) {
    const wanted = tokenName(name) || 'value';
    let key = wanted;
    for (let i = 2; key in out; i++) key = `${wanted} ${i}`;
    out[key] = token(value);
  }
  return out;
}

interface ReadTokens {
  values: { name: string; value: Value }[];
  /** what could not be read, each with its reason */
  leftOut: string[];
}

const REM = 16;

function readColour(json: unknown): string | null {
  // Before 2025.10 a colour was written as its hex code alone.
  const plain = HexColour.safeParse(json);
  if (plain.success) return plain.data.toLowerCase();
  const colour = ColourValue.safeParse(json);
  if (!colour.success || colour.data.colorSpace !== 'srgb' || colour.data.components.length !== 3)
    return null;
  const { components, alpha = 1 } = colour.data;
  const rgb = components.map((c) => hexByte(byte(c === 'none' ? 0 : c))).join('');
  return `#${rgb}${alpha < 1 ? hexByte(byte(alpha)) : ''}`;
}

function readLength(json: unknown): Value | null {
  const dimension = DimensionValue.safeParse(json);
  if (dimension.success) {
    const { value, unit } = dimension.data;
    return { value: unit === 'rem' ? value * REM : value, unit: 'lu' };
  }
  // Before 2025.10 a dimension was written as text.
  const text = typeof json === 'string' ? /^(-?\d+(?:\.\d+)?)(px|rem)$/.exec(json) : null;
  return text ? { value: Number(text[1]) * (text[2] === 'rem' ? REM : 1), unit: 'lu' } : null;
}

function readValue(type: unknown, value: unknown, own: z.infer<typeof Own>): Value | string {
  if (type === 'color') {
    const light = readColour(value);
    const dark = own.dark && readColour(own.dark);
    return light ? { light, ...(dark && { dark }) } : 'only colours in srgb are read';
  }
  if (type === 'dimension') return readLength(value) ?? 'a dimension is a number in px or rem';
  if (type === 'number' && own.unit) {
    const length = PlainLength.safeParse({ value, unit: own.unit });
    return length.success ? length.data : 'a share is a number';
  }
  return `tokens of the type ${typeof type === 'string' ? type : 'that is not given'} are not read`;
}

const isGroup = (json: unknown): json is Json =>
  typeof json === 'object' && json !== null && !Array.isArray(json);
const ALIAS = /^\{([^{}]+)\}$/;

/** The token that a value such as `{spacing.small}` stands for, through several of them; `null` where it leads nowhere. */
function behind(root: Json, start: unknown): { type: unknown; value: unknown } | null {
  let type: unknown;
  let value = start;
  for (let i = 0; i < 16; i++) {
    const alias = typeof value === 'string' ? ALIAS.exec(value) : null;
    if (!alias) return { type, value };
    let found: unknown = root;
    for (const key of alias[1]!.split('.')) {
      found = isGroup(found) ? found[key] : undefined;
      if (isGroup(found)) type = found.$type ?? type;
    }
    if (!isGroup(found) || !('$value' in found)) return null;
    value = found.$value;
  }
  return null;
}

/**
 * The lengths and colours of a design tokens document. Groups become part of the name, aliases are followed, and a
 * type that is given for a group holds for everything in it.
 */
export function readTokens(json: unknown): ReadTokens {
  const out: ReadTokens = { values: [], leftOut: [] };
  if (!isGroup(json)) return { values: [], leftOut: ['The file is not a JSON object.'] };
  const read = (group: Json, path: string[], inherited: unknown) => {
    const type = group.$type ?? inherited;
    if ('$value' in group) {
      const name = path.join(' / ').slice(0, 120) || 'value';
      const found = behind(json, group.$value);
      const own = Own.safeParse(isGroup(group.$extensions) ? group.$extensions[EXTENSION] : undefined);
      const value = found
        ? readValue(type ?? found.type, found.value, own.success ? own.data : {})
        : 'it refers to a token that is not there';
      if (typeof value === 'string') out.leftOut.push(`${name}: ${value}`);
      else out.values.push({ name, value });
      return;
    }
    for (const [key, child] of Object.entries(group)) {
      if (!key.startsWith('$') && isGroup(child)) read(child, [...path, key], type);
    }
  };
  read(json, [], undefined);
  return out;
}

/** Named values with those of a document taken in: one of the same name is given the new value, others are added. */
export function takeIn(
  named: readonly NamedValue[],
  values: ReadTokens['values'],
  newId: () => string,
): NamedValue[] {
  const out = [...named];
  for (const { name, value } of values) {
    const at = out.findIndex((n) => n.name === name && 'light' in n.value === 'light' in value);
    if (at >= 0) out[at] = { ...out[at]!, value };
    else out.push({ id: newId(), name, value });
  }
  return out;
}
