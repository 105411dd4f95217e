import { isObject, member } from '../patch/patch';
import type { Documents } from './documents';
import { namesOf, type Changed, type Place } from './places';

/** Where an entry goes that only another list still has: behind the one that it follows there. */
function insertAt(
  list: readonly unknown[],
  other: readonly unknown[],
  name: string,
  nameOf: (e: unknown) => string,
) {
  const before = other.slice(
    0,
    other.findIndex((e) => nameOf(e) === name),
  );
  const present = new Map(list.map((e, i) => [nameOf(e), i]));
  const follows = before.map(nameOf).findLast((n) => present.has(n));
  return follows === undefined ? 0 : present.get(follows)! + 1;
}

/** The entries that an order names in that order, in the places that they take together. */
function reordered(list: readonly unknown[], order: readonly string[], nameOf: (e: unknown) => string) {
  const byName = new Map(list.map((e) => [nameOf(e), e]));
  const inOrder = order.filter((n) => byName.has(n)).values();
  return list.map((e) => (order.includes(nameOf(e)) ? byName.get(inOrder.next().value!)! : e));
}

/** How far down in a place something stands, and what stands there in the other state. */
interface At {
  place: Place;
  depth: number;
  wanted: unknown;
  other: unknown;
}

function putInList(list: readonly unknown[], at: At, nameOf: (e: unknown) => string): unknown[] {
  const { place, depth, wanted, other } = at;
  const name = place[depth]!;
  const isLast = depth === place.length - 1;
  if (name === 'order' && isLast) return reordered(list, wanted as string[], nameOf);
  const others = Array.isArray(other) ? (other as unknown[]) : [];
  const inner = { ...at, depth: depth + 1, other: others.find((e) => nameOf(e) === name) };
  const i = list.findIndex((e) => nameOf(e) === name);
  const entry = put(i < 0 ? undefined : list[i], inner);
  if (entry === undefined) return list.filter((_, j) => j !== i);
  return i < 0
    ? list.toSpliced(insertAt(list, others, name, nameOf), 0, entry)
    : list.map((e, j) => (j === i ? entry : e));
}

function put(value: unknown, at: At): unknown {
  const { place, depth, wanted, other } = at;
  if (depth === place.length) return wanted;
  const nameOf = namesOf(place.slice(0, depth));
  if (nameOf && !isObject(value)) return putInList(Array.isArray(value) ? value : [], at, nameOf);
  const object = isObject(value) ? value : {};
  const key = place[depth]!;
  const inner = put(member(object, key), {
    ...at,
    depth: depth + 1,
    other: isObject(other) ? member(other, key) : undefined,
  });
  const { [key]: _, ...rest } = object;
  return inner === undefined ? rest : { ...object, [key]: inner };
}

/**
 * Documents with single changes taken back; they need not be whole then, as others may have followed from these.
 * @param before the state from which these changes led
 */
export const withTakenBack = (after: Documents, before: Documents, changes: readonly Changed[]): Documents =>
  changes.reduce<unknown>(
    (now, { place, before: wanted }) => put(now, { place, depth: 0, wanted, other: before }),
    after,
  ) as Documents;
