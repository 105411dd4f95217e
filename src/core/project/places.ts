import { isObject, member, sameJson } from '../patch/patch';
import type { Documents } from './documents';

/** Where something stands in documents: keys of objects, and names of the entries of lists. */
export type Place = readonly string[];

/** Any object of a document. */
export type Loose = Record<string, unknown>;
const text = (value: unknown) => (typeof value === 'string' || typeof value === 'number' ? `${value}` : '');
const byId = (entry: unknown) => text((entry as Loose).id);
const named =
  (...keys: string[]) =>
  (entry: unknown) =>
    keys.map((key) => text((entry as Loose)[key])).join(' ');

/** At which end a limit ends: there may be one at each. */
const ends = (entry: unknown) => ['min', 'max'].filter((end) => end in (entry as Loose)).join(' ');

/** Lists whose entries are told apart by a name of theirs, by the end of their place. */
const LISTS: Partial<Record<string, (entry: unknown) => string>> = {
  pictures: byId,
  named: byId,
  screens: byId,
  launches: byId,
  layers: byId,
  fonts: named('hash'),
  evidence: byId,
  checked: named('target', 'check'),
  limits: (entry) => `${named('role', 'measure', 'side', 'outcome')(entry)} ${ends(entry)}`,
  accepted: named('scene', 'layer', 'measure', 'reason'),
  scenes: text,
  iconSets: text,
};

/** How the entries of the list at a place are called; `undefined` where they have no names. */
export const namesOf = (place: Place) => LISTS[place.at(-1) ?? ''];

/** Objects that are compared key by key: what stands in them means something by itself. */
const DIVIDED: readonly RegExp[] = [
  /^$/,
  /^project$/,
  /^project\/(pictures|launches|named)\/[^/]+$/,
  /^scenes$/,
  /^scenes\/[^/]+$/,
  /^scenes\/[^/]+\/(margin|bars|bars\/[^/]+)$/,
  /^scenes\/[^/]+\/layers\/[^/]+$/,
  /^scenes\/[^/]+\/layers\/[^/]+\/(placing|fit|style)$/,
];
/** Whether an object is compared key by key. */
export const isDivided = (place: Place) => {
  const path = place.map((key) => key.replaceAll('/', '~1')).join('/');
  return DIVIDED.some((pattern) => pattern.test(path));
};

/** Entries of a list by their name; `null` where two have the same. */
export function entriesOf(
  list: readonly unknown[],
  nameOf: (entry: unknown) => string,
): Map<string, unknown> | null {
  const entries = new Map(list.map((entry) => [nameOf(entry), entry]));
  return entries.size === list.length ? entries : null;
}

/** Two layers of different kinds have no parts in common. */
export const sameKind = (a: Loose, b: Loose) => a.kind === b.kind;

/** What stands at a place of two states of the same documents, where it differs; `undefined` where nothing does. */
export interface Changed {
  place: Place;
  before: unknown;
  after: unknown;
}

/** Lists without an order that means something are compared by their entries alone. */
const ORDERED = new Set(['layers', 'scenes', 'launches']);

function changedInList(
  place: Place,
  before: readonly unknown[],
  after: readonly unknown[],
): Changed[] | null {
  const nameOf = namesOf(place);
  if (!nameOf) return null;
  const [b, a] = [entriesOf(before, nameOf), entriesOf(after, nameOf)];
  if (!b || !a) return null;
  const common = [...b.keys()].filter((name) => a.has(name));
  const order = [...a.keys()].filter((name) => b.has(name));
  const isMoved = ORDERED.has(place.at(-1)!) && !sameJson(common, order);
  // The order comes first: entries that are put back find those that they follow.
  return [
    ...(isMoved ? [{ place: [...place, 'order'], before: common, after: order }] : []),
    ...[...new Set([...b.keys(), ...a.keys()])].flatMap((name) =>
      changedAt([...place, name], b.get(name), a.get(name)),
    ),
  ];
}

function changedAt(place: Place, before: unknown, after: unknown): Changed[] {
  if (sameJson(before, after)) return [];
  if (isDivided(place) && isObject(before) && isObject(after) && sameKind(before, after))
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
      changedAt([...place, key], member(before, key), member(after, key)),
    );
  const isList = Array.isArray(before) || Array.isArray(after);
  const inList = isList && changedInList(place, (before ?? []) as unknown[], (after ?? []) as unknown[]);
  return inList || [{ place, before, after }];
}

/** Where two states of the same documents differ, as far as the parts mean something by themselves. */
export const changedPlaces = (before: Documents, after: Documents): Changed[] => changedAt([], before, after);
