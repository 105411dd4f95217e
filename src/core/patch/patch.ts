import { z } from 'zod';

/** JSON Patch (RFC 6902), of which the three operations that a difference is made of are read and written. */
export const Operation = z.discriminatedUnion('op', [
  z.object({ op: z.literal('add'), path: z.string(), value: z.unknown() }),
  z.object({ op: z.literal('replace'), path: z.string(), value: z.unknown() }),
  z.object({ op: z.literal('remove'), path: z.string() }),
]);
export type Operation = z.infer<typeof Operation>;
export type Patch = Operation[];

type Json = Record<string, unknown> | unknown[];

/** A patch that does not fit the document it is applied to. */
export class PatchError extends Error {
  constructor(
    readonly path: string,
    problem: string,
  ) {
    super(`The change does not fit: ${path || 'the document'} ${problem}.`);
    this.name = 'PatchError';
  }
}

/** RFC 6901: `~` is written `~0`, `/` is written `~1`. */
const escapeKey = (key: string | number) => String(key).replaceAll('~', '~0').replaceAll('/', '~1');
const unescapeKey = (key: string) => key.replaceAll('~1', '/').replaceAll('~0', '~');

/** The keys of a JSON pointer. */
export function pointerKeys(pointer: string): string[] {
  if (pointer === '') return [];
  if (!pointer.startsWith('/')) throw new PatchError(pointer, 'is not a JSON pointer');
  return pointer.slice(1).split('/').map(unescapeKey);
}

const isContainer = (value: unknown): value is Json => typeof value === 'object' && value !== null;
/** An object that is no list. */
export const isObject = (value: unknown): value is Record<string, unknown> =>
  isContainer(value) && !Array.isArray(value);
/** Keys through which an object’s prototype could be reached. */
export const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype']);

function arrayIndex(list: unknown[], key: string, path: string, adding: boolean): number {
  if (adding && key === '-') return list.length;
  const index = /^(0|[1-9]\d*)$/.test(key) ? Number(key) : NaN;
  if (!(index < list.length + (adding ? 1 : 0))) throw new PatchError(path, 'is not in the list');
  return index;
}

function child(parent: Json, key: string, path: string): unknown {
  if (Array.isArray(parent)) return parent[arrayIndex(parent, key, path, false)];
  if (FORBIDDEN.has(key) || !Object.hasOwn(parent, key)) throw new PatchError(path, 'is not there');
  return parent[key];
}

/**
 * One document while a patch is applied to it: each list and each object on the way to what changes is copied once, and changed in place
 * from then on, so that thousands of operations take no longer than their number.
 */
class Draft {
  private readonly copies = new WeakSet<object>();

  constructor(private document: unknown) {}

  /** A list or object of the draft, which may be changed. */
  private own<T extends Json>(value: T): T {
    if (this.copies.has(value)) return value;
    const copy = (Array.isArray(value) ? [...value] : { ...value }) as T;
    this.copies.add(copy);
    return copy;
  }

  /** The list or object that holds the last of some keys, with all on the way to it. @throws PatchError */
  private holderOf(keys: readonly string[], path: string): Json {
    if (!isContainer(this.document)) throw new PatchError(path, 'is not there');
    let holder = this.own(this.document);
    this.document = holder;
    for (const key of keys.slice(0, -1)) {
      const below = child(holder, key, path);
      if (!isContainer(below)) throw new PatchError(path, 'is not there');
      const copy = this.own(below);
      (holder as Record<string, unknown>)[key] = copy;
      holder = copy;
    }
    return holder;
  }

  /** @throws PatchError where it does not fit; the draft is of no use then */
  apply(operation: Operation): void {
    const { op, path } = operation;
    const keys = pointerKeys(path);
    if (keys.length === 0) {
      if (op === 'remove') throw new PatchError('', 'cannot be removed');
      this.document = operation.value;
      return;
    }
    const holder = this.holderOf(keys, path);
    const key = keys.at(-1)!;
    if (Array.isArray(holder)) {
      const index = arrayIndex(holder, key, path, op === 'add');
      if (op === 'remove') holder.splice(index, 1);
      else holder.splice(index, op === 'add' ? 0 : 1, operation.value);
      return;
    }
    if (FORBIDDEN.has(key)) throw new PatchError(path, 'is not a name that can be used');
    if (op !== 'add') child(holder, key, path);
    if (op === 'remove') delete holder[key];
    else holder[key] = operation.value;
  }

  get result(): unknown {
    return this.document;
  }
}

/**
 * The document after a patch; the one that is handed in stays as it is, and what the patch does not touch is shared.
 * @throws PatchError naming the path; nothing is applied then
 */
export function applyPatch<T>(document: T, patch: readonly Operation[]): T {
  const draft = new Draft(document);
  for (const operation of patch) draft.apply(operation);
  return draft.result as T;
}

/** The document after a patch; `null` where that does not fit. */
export function whereFits<T>(document: T, patch: readonly Operation[]): T | null {
  try {
    return applyPatch(document, patch);
  } catch (error) {
    if (error instanceof PatchError) return null;
    throw error;
  }
}

/** What an object itself has under a key: what it inherits, such as `toString`, is no part of a document. */
export const member = (object: Record<string, unknown>, key: string): unknown =>
  Object.hasOwn(object, key) ? object[key] : undefined;

/** Whether two JSON values are the same; the order of keys does not matter, a key that is undefined is not there. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (!isContainer(a) || !isContainer(b) || Array.isArray(a) !== Array.isArray(b)) return false;
  if (Array.isArray(a)) {
    return a.length === (b as unknown[]).length && a.every((v, i) => sameJson(v, (b as unknown[])[i]));
  }
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((k) =>
    sameJson(member(a as Record<string, unknown>, k), member(b as Record<string, unknown>, k)),
  );
}

function diffObjects(a: Record<string, unknown>, b: Record<string, unknown>, path: string): Patch {
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].flatMap((key): Patch => {
    const at = `${path}/${escapeKey(key)}`;
    const [was, is] = [member(a, key), member(b, key)];
    if (was === undefined) return is === undefined ? [] : [{ op: 'add', path: at, value: is }];
    return is === undefined ? [{ op: 'remove', path: at }] : diff(was, is, at);
  });
}

/** Lists of one length are compared place by place; else the unlike stretch between alike ends is exchanged. */
function diffLists(a: readonly unknown[], b: readonly unknown[], path: string): Patch {
  if (a.length === b.length) return a.flatMap((value, i) => diff(value, b[i], `${path}/${i}`));
  const shorter = Math.min(a.length, b.length);
  let head = 0;
  while (head < shorter && sameJson(a[head], b[head])) head++;
  let tail = 0;
  while (tail < shorter - head && sameJson(a.at(-1 - tail), b.at(-1 - tail))) tail++;
  const removed = a
    .slice(head, a.length - tail)
    .map((): Operation => ({ op: 'remove', path: `${path}/${head}` }));
  const added = b
    .slice(head, b.length - tail)
    .map((value, i): Operation => ({ op: 'add', path: `${path}/${head + i}`, value }));
  return [...removed, ...added];
}

/** The patch that makes `b` of `a`; empty when they are the same. What is shared between the two costs nothing. */
export function diff(a: unknown, b: unknown, path = ''): Patch {
  if (Object.is(a, b)) return [];
  if (Array.isArray(a) && Array.isArray(b)) return diffLists(a, b, path);
  if (isObject(a) && isObject(b)) return diffObjects(a, b, path);
  return [{ op: 'replace', path, value: b }];
}

const touches = (a: string, b: string) => a === b || a.startsWith(`${b}/`) || b.startsWith(`${a}/`);

/** The place that an operation concerns: putting into a list or taking out of it moves what comes after it. */
const reach = ({ op, path }: Operation) => (op === 'replace' ? path : path.replace(/\/(\d+|-)$/, ''));

/** Whether two patches change the same place, or one of them something inside what the other changes. */
export const overlap = (a: readonly Operation[], b: readonly Operation[]): boolean =>
  a.some((x) => b.some((y) => touches(reach(x), reach(y))));
