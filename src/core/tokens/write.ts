import { plainOf, type NamedValue } from '../values/values';
import { entryFor, readTokens, type ReadToken, type ReadTokens } from './read';
import { aliasOf, at, isKeepable, ROOT, sayPath, tokensIn, type Json, type TokenPath } from './tree';
import { isObject } from '../patch/patch';
import { newToken, withValue } from './value';

/** A name that the format allows: no `.`, `{` or `}`, and no `$` in front. */
const allowed = (key: string) => key.replaceAll(/[.{}]/g, '-').replace(/^\$+/, '') || 'value';

/** Puts a token into a tree. @returns the tree; groups on the way are made where they are missing */
function put(tree: Json, [key, ...rest]: TokenPath, token: Json): Json {
  if (key === undefined) return token;
  const child = at(tree, [key]);
  return { ...tree, [key]: put(isObject(child) ? child : {}, rest, token) };
}

/** Takes a token out of a tree, and the groups that then hold nothing any more. */
function takeOut(tree: Json, [key, ...rest]: TokenPath): Json {
  if (key === undefined || !(key in tree)) return tree;
  const { [key]: child, ...others } = tree;
  if (rest.length === 0 || !isObject(child)) return others;
  const left = takeOut(child, rest);
  const isEmpty = Object.keys(left).every((k) => k.startsWith('$') && k !== ROOT);
  return isEmpty ? others : { ...tree, [key]: left };
}

/** Where a new token goes: its groups by its name, a number behind it where something else lies there. */
function freePath(tree: Json, name: string): TokenPath {
  const keys = name.split(' / ').map(allowed);
  for (let i = 1; ; i++) {
    const path = i === 1 ? keys : [...keys.slice(0, -1), `${keys.at(-1)} ${i}`];
    const found = at(tree, path);
    const throughToken = path.some((_, n) => n > 0 && isToken(at(tree, path.slice(0, n))));
    if (found === undefined && !throughToken) return path;
    // A group may have a token that is called like itself.
    if (isObject(found) && !isToken(found) && !(ROOT in found)) return [...path, ROOT];
    if (throughToken && i > 1) return [keys.join('-')].map(allowed);
  }
}
const isToken = (json: unknown) => isObject(json) && ('$value' in json || '$ref' in json);

/** A document of tokens while it is written: where each named value lies in it. */
interface Draft {
  tree: Json;
  paths: Map<string, TokenPath>;
}

function described(json: Json, description: string | undefined): Json {
  const { $description: was, ...rest } = json;
  if (description === undefined) return typeof was === 'string' && was !== '' ? rest : json;
  return { ...json, $description: description };
}

type PlainById = (id: string) => ReturnType<typeof plainOf>;

/** Whether a token says of a named value what that is. */
function saysSo({ value, standsFor }: ReadToken, entry: NamedValue, named: readonly NamedValue[]): boolean {
  if ('named' in entry.value) {
    const { named: id } = entry.value;
    return standsFor !== undefined && named.find((n) => n.id === id)?.name === standsFor;
  }
  return standsFor === undefined && JSON.stringify(value) === JSON.stringify(entry.value);
}

/** The token of a named value, with what else was written in it. */
function tokenOf(was: Json, type: unknown, entry: NamedValue, paths: Draft['paths'], plain: PlainById): Json {
  const { $ref: _, ...rest } = was;
  if ('named' in entry.value) {
    const target = paths.get(entry.value.named);
    if (target) return { ...rest, $value: `{${sayPath(target)}}` };
  }
  const value = 'named' in entry.value ? plain(entry.value.named) : entry.value;
  if (!value) return was;
  if (Object.keys(rest).length === 0) return newToken(value);
  // What stood for another has no value of its own whose unit could be kept.
  const own = aliasOf(was) ? { ...rest, $value: null } : rest;
  return withValue(own, value, type);
}

/** Finds the token of each named value, and takes out those of values that are gone. */
function draftOf(
  kept: Json,
  named: readonly NamedValue[],
  plain: PlainById,
): Draft & { read: Map<string, ReadToken> } {
  const paths: Draft['paths'] = new Map();
  const read = new Map<string, ReadToken>();
  let tree = kept;
  for (const value of readTokens(kept).values) {
    const entry = entryFor(named, value, plain);
    if (entry && !paths.has(entry.id)) {
      paths.set(entry.id, value.path);
      read.set(entry.id, value);
    } else tree = takeOut(tree, value.path);
  }
  for (const { id, name } of named) {
    if (paths.has(id)) continue;
    const path = freePath(tree, name);
    paths.set(id, path);
    // The place is taken from now on.
    tree = put(tree, path, { $value: null });
  }
  return { tree, paths, read };
}

/**
 * All named values as one document of design tokens. What was taken in earlier and is as it was stays letter by letter, with
 * everything in it that is not used here.
 */
export function writeTokens(named: readonly NamedValue[], kept: Json = {}): Json {
  const plain: PlainById = (id) => plainOf(id, named);
  const { tree, paths, read } = draftOf(kept, named, plain);
  const types = new Map(tokensIn(tree).tokens.map((t) => [sayPath(t.path), t.type]));
  return named.reduce((out, entry) => {
    const path = paths.get(entry.id)!;
    const token = read.get(entry.id);
    const was = token ? (at(out, path) as Json) : {};
    const same = token !== undefined && saysSo(token, entry, named);
    const json = same ? was : tokenOf(was, types.get(sayPath(path)), entry, paths, plain);
    return put(
      out,
      path,
      token?.description === entry.description ? json : described(json, entry.description),
    );
  }, tree);
}

/** Named values and kept tokens with those of a file taken in. */
export interface TakenIn {
  named: NamedValue[];
  /** `null` where there is too much of it to be kept */
  tokens: Json | null;
}

/** Takes a file in: a named value of the same name and kind is given the new value, others are added. */
export function takeIn(
  named: readonly NamedValue[],
  { values }: Pick<ReadTokens, 'values'>,
  tokens: Json,
  newId: () => string,
): TakenIn {
  const out = [...named];
  const plain: PlainById = (id) => plainOf(id, named);
  const ids = new Map<string, string>();
  for (const read of values) {
    const known = entryFor(named, read, plain);
    const { value: _value, description: _description, ...rest } = known ?? { id: newId(), name: read.name };
    const entry: NamedValue = {
      ...rest,
      value: read.value,
      ...(read.description !== undefined && { description: read.description }),
    };
    ids.set(read.name, entry.id);
    const place = known ? out.indexOf(known) : out.length;
    out[place] = entry;
  }
  // What stands for another does so by its id, which may only be known now.
  for (const read of values) {
    const target = read.standsFor === undefined ? undefined : ids.get(read.standsFor);
    const place = out.findIndex((n) => n.id === ids.get(read.name));
    if (target !== undefined && target !== out[place]!.id)
      out[place] = { ...out[place]!, value: { named: target } };
  }
  return { named: out, tokens: isKeepable(tokens) ? tokens : null };
}
