import { z } from 'zod';
import { FORBIDDEN, isObject } from '../patch/patch';

/**
 * Design tokens as a tree of JSON. Source: Design Tokens Community Group, Format Module 2025.10: a token has a `$value`, a
 * group has tokens and groups by name, and what begins with `$` belongs to the token or group that it stands in.
 */
export type Json = Record<string, unknown>;

/** As much as a project keeps of a file of tokens: some thousand of them. */
const MOST_KEPT = 300_000;

export const KeptTokens = z
  .record(z.string(), z.unknown())
  .refine((json) => JSON.stringify(json).length <= MOST_KEPT, 'These tokens are too many to be kept.');

export const isKeepable = (json: Json) => KeptTokens.safeParse(json).success;

/** The token of a group that is called like the group itself. */
export const ROOT = '$root';

/** Where a token lies: the names of its groups, and its own. */
export type TokenPath = readonly string[];

/** A token with what holds for it. */
export interface DesignToken {
  path: TokenPath;
  json: Json;
  /** its own type, else that of the nearest group that gives one */
  type: unknown;
}

/** What a token is called here: its groups and its own name. */
export const nameOf = (path: TokenPath): string => path.filter((key) => key !== ROOT).join(' / ');
/** The path of a token as it is written in the file. */
export const sayPath = (path: TokenPath): string => path.join('.');

const isOwn = (key: string) => key !== ROOT && key.startsWith('$');

/** A document without names that no object may have. @returns it, and where they stood */
export function withoutForbidden(json: Json, path: TokenPath = []): { json: Json; left: TokenPath[] } {
  const left: TokenPath[] = [];
  const entries = Object.entries(json).flatMap(([key, value]): [string, unknown][] => {
    const here = [...path, key];
    if (FORBIDDEN.has(key)) {
      left.push(here);
      return [];
    }
    if (!isObject(value)) return [[key, value]];
    const inner = withoutForbidden(value, here);
    left.push(...inner.left);
    return [[key, inner.json]];
  });
  return { json: Object.fromEntries(entries), left };
}

/** What stands in a file: its tokens in order, and what is neither a token nor a group. */
export function tokensIn(root: Json): { tokens: DesignToken[]; others: { path: TokenPath; why: string }[] } {
  const tokens: DesignToken[] = [];
  const others: { path: TokenPath; why: string }[] = [];
  const walk = (group: Json, path: TokenPath, inherited: unknown) => {
    const type = group.$type ?? inherited;
    if ('$value' in group || '$ref' in group) {
      tokens.push({ path, json: group, type });
      return;
    }
    if ('$extends' in group) others.push({ path, why: 'what it takes over by $extends is not read' });
    for (const [key, child] of Object.entries(group)) {
      if (isOwn(key)) continue;
      if (isObject(child)) walk(child, [...path, key], type);
      else others.push({ path: [...path, key], why: 'it is neither a token nor a group' });
    }
  };
  walk(root, [], undefined);
  return { tokens, others };
}

export function at(root: Json, path: TokenPath): unknown {
  let found: unknown = root;
  for (const key of path) found = isObject(found) && Object.hasOwn(found, key) ? found[key] : undefined;
  return found;
}

const ALIAS = /^\{([^{}]+)\}$/;
/** A JSON pointer (RFC 6901) within the same file. */
const POINTER = /^#\/(.+)$/;

/** The token that a value refers to, `{colour.sea}` or `{"$ref": "#/colour/sea/$value"}`; `null` for a value of its own. */
export function aliasOf({ $value, $ref }: Json): TokenPath | null {
  const alias = typeof $value === 'string' ? ALIAS.exec($value) : null;
  if (alias) return alias[1]!.split('.');
  const ref = isObject($value) && typeof $value.$ref === 'string' ? $value.$ref : $ref;
  const pointer = typeof ref === 'string' ? POINTER.exec(ref) : null;
  if (!pointer) return null;
  const keys = pointer[1]!.split('/').map((k) => k.replaceAll('~1', '/').replaceAll('~0', '~'));
  return keys.at(-1) === '$value' ? keys.slice(0, -1) : keys;
}
