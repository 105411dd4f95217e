import type { PlacedPaint } from '../fit/gradient';
import type { Placement } from '../fit/place';
import type { Rect } from '../geometry/rect';
import type { Breach, Outcome } from '../measure/judge';
import type { Measures } from '../measure/measures';
import type { Cut, Rendition } from '../pictures/picture';
import type { LayerRole } from '../scene/scene';
import type { Appearance } from '../values/values';
import type { BarResult } from '../screens/bars';
import type { Outline } from '../screens/outline';
import type { Regions } from '../screens/regions';
import type { Rotation } from '../screens/screen';
import type { Orientation } from '../screens/turn';
import type { Reading } from '../text/layout';
import type { Face } from '../text/style';

/** What a result takes over from its layer. */
type Named = Pick<LayerResult, 'id' | 'name' | 'role'> & { opacity?: number };
type Held = Named & { parent?: string };

// Thousands of results are made of each kind, and read by everything after. A constructor lays all of a kind out alike in
// memory, which makes reading them twice as fast, and see `rectOf`.

class LayerBase {
  readonly id: string;
  readonly name: string;
  readonly role: LayerRole;
  /** 0..1 */
  readonly opacity: number;
  readonly box: Rect;

  constructor({ id, name, role, opacity = 1 }: Named, box: Rect) {
    this.id = id;
    this.name = name;
    this.role = role;
    this.opacity = opacity;
    this.box = box;
  }
}

export class GroundResult extends LayerBase {
  readonly kind = 'ground';
  readonly paint: PlacedPaint;

  constructor(layer: Named, box: Rect, paint: PlacedPaint) {
    super(layer, box);
    this.paint = paint;
  }
}

/** Where a layer lies, and what is measured of that. */
export interface Lying {
  placement: Placement;
  /** what ends its view: the screen, and every clipping panel around it */
  window: Rect;
  measures: Measures;
}

/** Of every layer that a rule places. */
class PlacedBase extends LayerBase implements Lying {
  /** the panel that holds it */
  readonly parent: string | undefined;
  readonly placement: Placement;
  readonly window: Rect;
  readonly measures: Measures;

  constructor(layer: Held, { placement, window, measures }: Lying) {
    super(layer, placement.box);
    this.parent = layer.parent;
    this.placement = placement;
    this.window = window;
    this.measures = measures;
  }
}

export class PictureResult extends PlacedBase {
  readonly kind = 'picture';
  readonly pictureId: string;
  readonly cut: Cut['cut'];
  readonly rendition: Rendition;
  /** subjects that are marked on another cut of the picture, but not on the one that is shown */
  readonly unmarked: readonly string[];
  /** `#rrggbb` or `#rrggbbaa`; `null` leaves the picture its colours */
  readonly tint: string | null;

  constructor(
    layer: Held,
    lying: Lying,
    own: Pick<PictureResult, 'pictureId' | 'cut' | 'rendition' | 'unmarked' | 'tint'>,
  ) {
    super(layer, lying);
    this.pictureId = own.pictureId;
    this.cut = own.cut;
    this.rendition = own.rendition;
    this.unmarked = own.unmarked;
    this.tint = own.tint;
  }
}

/** A line of text: where it starts on the baseline, absolute, lu. */
export class TextLine {
  constructor(
    readonly text: string,
    readonly x: number,
    readonly baseline: number,
    readonly reading: Reading,
  ) {}
}

export class TextResult extends PlacedBase {
  readonly kind = 'text';
  readonly face: Face;
  /** lu */
  readonly fontSize: number;
  readonly colour: string;
  readonly lines: readonly TextLine[];
  readonly shortened: boolean;
  /** letters that its font does not have, each once: boxes are drawn in their place */
  readonly missing: readonly string[];

  constructor(
    layer: Held,
    lying: Lying,
    own: Pick<TextResult, 'face' | 'fontSize' | 'colour' | 'lines' | 'shortened' | 'missing'>,
  ) {
    super(layer, lying);
    this.face = own.face;
    this.fontSize = own.fontSize;
    this.colour = own.colour;
    this.lines = own.lines;
    this.shortened = own.shortened;
    this.missing = own.missing;
  }
}

export class PanelResult extends PlacedBase {
  readonly kind = 'panel';
  readonly paint: PlacedPaint;
  /** whether what it holds ends at its edges */
  readonly clip: boolean;
  /** the layers that it is laid around, as a scrim is */
  readonly around: readonly string[];

  constructor(layer: Held, lying: Lying, own: Pick<PanelResult, 'paint' | 'clip' | 'around'>) {
    super(layer, lying);
    this.paint = own.paint;
    this.clip = own.clip;
    this.around = own.around;
  }
}

export type PlacedResult = PictureResult | TextResult | PanelResult;
export type LayerResult = GroundResult | PlacedResult;

function remade(layer: PlacedResult, held: Held, lying: Lying): PlacedResult {
  if (layer.kind === 'picture') return new PictureResult(held, lying, layer);
  return layer.kind === 'text' ? new TextResult(held, lying, layer) : new PanelResult(held, lying, layer);
}

/** What was found of a layer, with other measures. */
export const measuredAs = (layer: PlacedResult, measures: Measures): PlacedResult =>
  remade(layer, layer, { placement: layer.placement, window: layer.window, measures });

/** What was found of a layer as if no panel held it: it lies where it lay, and its view ends where it ended. */
export function heldByNothing(layer: PlacedResult): PlacedResult {
  const { id, name, role, opacity } = layer;
  return remade(layer, { id, name, role, opacity }, layer);
}

/** One case: what is drawn, back to front, what was measured, and which limits it breaks. */
export class CaseResult {
  readonly id: string;
  readonly screenId: string;
  readonly rotation: Rotation;
  readonly orientation: Orientation;
  readonly appearance: Appearance;
  readonly regions: Regions;
  readonly outline: Outline;
  /** drawn over the layers */
  readonly bars: readonly BarResult[];
  /** WCAG ratio of the signs on each of them with what lies under it; `null` while the pixels are not known */
  readonly barContrast: readonly (number | null)[];
  /** back to front; what a panel holds comes right after it */
  readonly layers: readonly LayerResult[];
  readonly breaches: readonly Breach[];
  readonly outcome: Outcome;

  /** @param all to be copied */
  constructor(all: CaseResult) {
    this.id = all.id;
    this.screenId = all.screenId;
    this.rotation = all.rotation;
    this.orientation = all.orientation;
    this.appearance = all.appearance;
    this.regions = all.regions;
    this.outline = all.outline;
    this.bars = all.bars;
    this.barContrast = all.barContrast;
    this.layers = all.layers;
    this.breaches = all.breaches;
    this.outcome = all.outcome;
  }
}
