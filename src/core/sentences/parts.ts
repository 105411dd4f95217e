import { capitalised } from '../words/words';
import type { Align, Fit } from '../fit/rule';
import type { Axis } from '../geometry/rect';
import type { Extent, Ratio, Region } from '../placing/rule';
import type { Paint } from '../values/paint';
import type { LayerRole } from '../scene/scene';
import type { Colour, Length } from '../values/values';
import type { When } from '../scene/when';
import type { TextStyle } from '../text/style';

/** Where a value stands inside a layer. */
export type Path = readonly (string | number)[];

/** What an editor needs to know to change a part; `value` is what stands at the part’s paths. */
export type Editable =
  | { kind: 'length'; value: Length; label: string; percentOf: string }
  /** the distance of an edge; `placing` is where the rule of both axes stands, to hold the layer otherwise */
  | { kind: 'edge'; value: Length; label: string; percentOf: string; axis: Axis; placing: Path }
  /** the distance of all four edges, which are alike */
  | { kind: 'edges'; value: Length; label: string; percentOf: string; placing: Path }
  | { kind: 'shift'; value: Length; label: string; percentOf: string; axis: Axis; placing: Path }
  | { kind: 'region'; value: Region }
  | { kind: 'extent'; value: Extent; axis: Axis }
  | { kind: 'ratio'; value: Ratio }
  | { kind: 'fit'; value: Fit }
  | { kind: 'align'; value: Align }
  | { kind: 'clip'; value: boolean; what: string }
  | { kind: 'picture'; value: string }
  | { kind: 'colour'; value: Colour }
  | { kind: 'paint'; value: Paint }
  | { kind: 'text'; value: string }
  | { kind: 'style'; value: TextStyle }
  | { kind: 'opacity'; value: number }
  | { kind: 'role'; value: LayerRole }
  | { kind: 'when'; value: When };

/** A part of a sentence that can be changed in place; the new value goes to every one of its paths. */
export interface Part {
  text: string;
  paths: readonly Path[];
  editable: Editable;
}

/** Fixed words, or a part. */
export type Token = string | Part;

/** What the sentence says when it is read out. */
export const sentenceText = (tokens: readonly Token[]): string =>
  tokens.map((t) => (typeof t === 'string' ? t : t.text)).join('');

type Branch = Record<string | number, unknown>;

/** What stands at a path of a layer; `undefined` where there is nothing. */
export const valueAt = (layer: object, path: Path): unknown =>
  path.reduce<unknown>((value, key) => (value as Branch | undefined)?.[key], layer);

/** Puts a value at each path, in place. */
export function setAt(layer: object, paths: readonly Path[], value: unknown): void {
  for (const path of paths) {
    const parent = valueAt(layer, path.slice(0, -1)) as Branch;
    parent[path.at(-1)!] = value;
  }
}

/** Puts commas between the clauses that say something. */
export function joined(clauses: readonly (readonly Token[])[]): Token[] {
  return clauses.filter((c) => c.length > 0).flatMap((c, i) => (i === 0 ? c : [', ', ...c]));
}

export function capital(tokens: readonly Token[]): Token[] {
  const [first, ...rest] = tokens;
  if (first === undefined) return [];
  return [
    typeof first === 'string' ? capitalised(first) : { ...first, text: capitalised(first.text) },
    ...rest,
  ];
}
