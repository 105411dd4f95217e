import { Documents } from './documents';
import { isObject, member, sameJson } from '../patch/patch';
import { entriesOf, isDivided, namesOf, sameKind, type Loose, type Place } from './places';

export type { Place } from './places';

/** Something that two people made different things of; `undefined` where one of them took it away. */
export interface Clash {
  place: Place;
  mine: unknown;
  theirs: unknown;
}

export type Version = 'mine' | 'theirs';

export interface Merged {
  documents: Documents;
  clashes: Clash[];
  /** what only one of both changed, and is taken from there */
  taken: { place: Place; from: Version }[];
  /** what is wrong with the documents that would come of it; `null` when they are whole */
  problem: string | null;
}

/** By which a choice is remembered. */
export const placeKey = (place: Place): string => JSON.stringify(place);

/** Names in the order of one list, each that only the other has after the one that it follows there. */
function joined(first: readonly string[], second: readonly string[]): string[] {
  const order = [...first];
  second.forEach((name, i) => {
    if (order.includes(name)) return;
    const before = second.slice(0, i).findLast((n) => order.includes(n));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, name);
  });
  return order;
}

/** Lays what two people made of one thing together, asking where they disagree. */
class Merger {
  readonly clashes: Clash[] = [];
  readonly taken: Merged['taken'] = [];

  constructor(
    private readonly choices: ReadonlyMap<string, Version>,
    /** whether single things are chosen; else all or nothing */
    private readonly divides: boolean,
  ) {}

  private clash(place: Place, mine: unknown, theirs: unknown): unknown {
    this.clashes.push({ place, mine, theirs });
    return this.choices.get(placeKey(place)) === 'theirs' ? theirs : mine;
  }

  merge(place: Place, base: unknown, mine: unknown, theirs: unknown): unknown {
    if (sameJson(mine, theirs)) return mine;
    if (sameJson(mine, base)) return this.take(place, 'theirs', theirs);
    if (sameJson(theirs, base)) return this.take(place, 'mine', mine);
    return this.divided(place, base, mine, theirs) ?? this.clash(place, mine, theirs);
  }

  /** Part by part, where the thing has parts that mean something by themselves; else `null`. */
  private divided(place: Place, base: unknown, mine: unknown, theirs: unknown): unknown {
    if (!this.divides) return null;
    if (isDivided(place) && isObject(mine) && isObject(theirs) && sameKind(mine, theirs))
      return this.objects(place, isObject(base) ? base : {}, mine, theirs);
    const nameOf = namesOf(place);
    if (!nameOf || !Array.isArray(mine) || !Array.isArray(theirs)) return null;
    const all = [Array.isArray(base) ? base : [], mine, theirs].map((list) => entriesOf(list, nameOf));
    const [b, m, t] = all;
    return b && m && t ? this.lists(place, b, m, t) : null;
  }

  private take(place: Place, from: Version, value: unknown): unknown {
    this.taken.push({ place, from });
    return value;
  }

  private objects(place: Place, base: Loose, mine: Loose, theirs: Loose): Loose {
    const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
    const entries = keys.map(
      (key) =>
        [
          key,
          this.merge([...place, key], member(base, key), member(mine, key), member(theirs, key)),
        ] as const,
    );
    return Object.fromEntries(entries.filter(([, value]) => value !== undefined));
  }

  private lists(
    place: Place,
    base: ReadonlyMap<string, unknown>,
    mine: ReadonlyMap<string, unknown>,
    theirs: ReadonlyMap<string, unknown>,
  ): unknown[] {
    const order = this.order(place, [...base.keys()], [...mine.keys()], [...theirs.keys()]);
    return order
      .map((name) => this.merge([...place, name], base.get(name), mine.get(name), theirs.get(name)))
      .filter((entry) => entry !== undefined);
  }

  /** The order of all entries of a list: of whoever changed that of those which all have. */
  private order(place: Place, base: string[], mine: string[], theirs: string[]): string[] {
    const isCommon = (name: string) => base.includes(name) && mine.includes(name) && theirs.includes(name);
    const [b, m, t] = [base, mine, theirs].map((names) => names.filter(isCommon)) as [
      string[],
      string[],
      string[],
    ];
    if (sameJson(m, b)) return joined(theirs, mine);
    if (sameJson(t, b) || sameJson(m, t)) return joined(mine, theirs);
    const chosen = this.clash([...place, 'order'], m, t) as string[];
    return chosen === t ? joined(theirs, mine) : joined(mine, theirs);
  }
}

/** What a scene needs and only one side still has comes along with it: pictures, fonts, and its entry in the list. */
function withNeeded(merged: Documents, sides: readonly Documents[]): Documents {
  const layers = Object.values(merged.scenes).flatMap((s) => s.layers);
  const shown = new Set(layers.flatMap((l) => (l.kind === 'picture' ? [l.picture] : [])));
  const has = new Set(merged.project.pictures.map((p) => p.id));
  const missing = [...shown].filter((id) => !has.has(id));
  const back = missing.flatMap((id) => {
    const found = sides.flatMap((s) => s.project.pictures).find((p) => p.id === id);
    return found ? [found] : [];
  });
  const listed = merged.project.scenes.filter((id) => Object.hasOwn(merged.scenes, id));
  const others = Object.keys(merged.scenes).filter((id) => !listed.includes(id));
  const pictures = back.length > 0 ? [...merged.project.pictures, ...back] : merged.project.pictures;
  return { ...merged, project: { ...merged.project, pictures, scenes: [...listed, ...others] } };
}

/**
 * Lays together what two people made of the same documents. What only one of them changed is taken; what both changed to
 * something different is a clash, one for each thing that has a meaning of its own.
 * @param choices of clashes, by the key of their place; mine where there is none
 */
export function merge3(
  base: Documents,
  mine: Documents,
  theirs: Documents,
  choices: ReadonlyMap<string, Version> = new Map(),
): Merged {
  const laid = (divides: boolean) => {
    const merger = new Merger(choices, divides);
    const raw = merger.merge([], base, mine, theirs) as Documents;
    const documents = withNeeded(raw, [mine, theirs]);
    const { error } = Documents.safeParse(documents);
    const { clashes, taken } = merger;
    return { documents, clashes, taken, problem: error?.issues[0]?.message ?? null };
  };
  const merged = laid(true);
  // What fits by itself and is nothing whole together can only be chosen as a whole.
  return merged.problem !== null && merged.clashes.length === 0 ? laid(false) : merged;
}
