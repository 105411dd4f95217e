import type { NamedValue } from '../values/values';
import {
  aliasOf,
  at,
  nameOf,
  ROOT,
  sayPath,
  tokensIn,
  withoutForbidden,
  type Json,
  type DesignToken,
  type TokenPath,
} from './tree';
import { isObject } from '../patch/patch';
import { readValue, type Plain, type Read } from './value';

/** A token as it is used here. */
export interface ReadToken {
  path: TokenPath;
  name: string;
  value: Plain;
  /** the name of the token that it stands for, of which it has the value */
  standsFor?: string;
  description?: string;
}

export interface ReadTokens {
  values: ReadToken[];
  /** what is not used here, by its path in the file, each with its reason */
  leftOut: string[];
  /** what is used, but not just as it was written */
  notes: string[];
  /** all that the file said, to be kept */
  json: Json;
}

const MOST_NAME = 120;

/** A path that leads to a group may mean the token that is called like it. */
function tokenAt(tokens: ReadonlyMap<string, DesignToken>, path: TokenPath): DesignToken | undefined {
  return tokens.get(sayPath(path)) ?? tokens.get(sayPath([...path, ROOT]));
}

/** What a token comes to, through all that it stands for. */
function valueOf(
  token: DesignToken,
  tokens: ReadonlyMap<string, DesignToken>,
): Read & { target?: DesignToken } {
  const target = aliasOf(token.json);
  if (!target) return readValue(token.type, token.json);
  let found = tokenAt(tokens, target);
  const first = found;
  for (let steps = 0; found && steps <= tokens.size; steps++) {
    const next = aliasOf(found.json);
    if (!next) return { ...readValue(token.type ?? found.type, found.json), ...(first && { target: first }) };
    found = tokenAt(tokens, next);
  }
  return { why: found ? 'it refers to itself' : `it refers to “${sayPath(target)}”, which is not there` };
}

/** The type of a token that gives none is that of what it stands for. */
function typeOf(token: DesignToken, tokens: ReadonlyMap<string, DesignToken>): unknown {
  let at_: DesignToken | undefined = token;
  for (let steps = 0; at_ && steps <= tokens.size; steps++) {
    if (at_.type !== undefined) return at_.type;
    const next = aliasOf(at_.json);
    at_ = next ? tokenAt(tokens, next) : undefined;
  }
  return undefined;
}

function readToken(
  token: DesignToken,
  tokens: ReadonlyMap<string, DesignToken>,
): Read & { target?: DesignToken } {
  const type = typeOf(token, tokens);
  return valueOf({ ...token, type }, tokens);
}

const descriptionOf = ({ $description }: Json) =>
  typeof $description === 'string' && $description !== '' ? $description.slice(0, 1000) : undefined;

/**
 * The lengths and colours of a document of design tokens. Groups become part of the name, tokens that stand for others do so
 * here as well, and a type that is given for a group holds for everything in it.
 */
export function readTokens(document: unknown): ReadTokens {
  if (!isObject(document))
    return { values: [], leftOut: ['The file is not a JSON object.'], notes: [], json: {} };
  const { json, left } = withoutForbidden(document);
  const { tokens, others } = tokensIn(json);
  const known = new Map(tokens.map((t) => [sayPath(t.path), t]));
  const out: ReadTokens = {
    values: [],
    leftOut: [
      ...left.map((path) => `${sayPath(path)}: no token may be called so`),
      ...others.map(({ path, why }) => `${sayPath(path)}: ${why}`),
    ],
    notes: [],
    json,
  };
  const names = new Set<string>();
  for (const token of tokens) {
    const path = sayPath(token.path);
    const read = readToken(token, known);
    const name = nameOf(token.path) || 'value';
    if ('why' in read) out.leftOut.push(`${path}: ${read.why}`);
    else if (name.length > MOST_NAME)
      out.leftOut.push(`${path}: its name is longer than ${MOST_NAME} letters`);
    else if (names.has(name)) out.leftOut.push(`${path}: another token is called “${name}” as well`);
    else {
      names.add(name);
      if (read.note) out.notes.push(`${path}: ${read.note}`);
      const description = descriptionOf(token.json);
      const standsFor = read.target && nameOf(read.target.path);
      out.values.push({
        path: token.path,
        name,
        value: read.value,
        ...(standsFor !== undefined && { standsFor }),
        ...(description !== undefined && { description }),
      });
    }
  }
  // What stands for a token that is left out itself has its value.
  for (const v of out.values) if (v.standsFor !== undefined && !names.has(v.standsFor)) delete v.standsFor;
  return out;
}

const isColour = (value: Plain) => 'light' in value;

/** Whether a named value comes to a colour; `null` where it stands for one that is not there. */
const kindOf = (n: NamedValue, plain: (id: string) => Plain | null): boolean | null => {
  const value = 'named' in n.value ? plain(n.value.named) : n.value;
  return value && isColour(value);
};

/** The entry of a name and a kind. */
export const entryFor = (
  named: readonly NamedValue[],
  { name, value }: Pick<ReadToken, 'name' | 'value'>,
  plain: (id: string) => Plain | null,
): NamedValue | undefined => named.find((n) => n.name === name && kindOf(n, plain) === isColour(value));

/** The tokens that were kept with those of another file: what both have is taken from the newer one. */
export function mergedTokens(older: Json, newer: Json): Json {
  const out: Json = { ...older };
  for (const [key, value] of Object.entries(newer)) {
    const was = at(older, [key]);
    const both =
      isObject(was) && isObject(value) && !('$value' in was) && !('$value' in value) && !key.startsWith('$');
    out[key] = both ? mergedTokens(was, value) : value;
  }
  return out;
}
