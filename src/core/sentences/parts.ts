import type { Align } from '../fit/rule';
import type { FitPreset } from '../fit/presets';
import type { Axis } from '../geometry/rect';
import type { Extent, Region } from '../placing/rule';
import type { Colour, Length } from '../scene/values';
import type { When } from '../scene/when';

/** Where a value stands inside of a layer. */
export type Path = readonly (string | number)[];

/** What an editor needs to know to change a part; `value` is what stands at the part’s paths. */
export type Editable =
  | { kind: 'length'; value: Length; label: string; percentOf: string }
  | { kind: 'shift'; value: Length; axis: Axis; percentOf: string }
  | { kind: 'region'; value: Region }
  | { kind: 'extent'; value: Extent; axis: Axis }
  | { kind: 'fit'; value: FitPreset | null }
  | { kind: 'align'; value: Align }
  | { kind: 'clip'; value: boolean }
  | { kind: 'picture'; value: string }
  | { kind: 'colour'; value: Colour }
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
