import type { PlacedPaint } from '../fit/gradient';
import type { Placement } from '../fit/place';
import type { Rect } from '../geometry/rect';
import type { Breach, Outcome } from '../measure/judge';
import type { Measures } from '../measure/measures';
import type { Cut, Rendition } from '../pictures/picture';
import type { LayerRole } from '../scene/scene';
import type { Appearance } from '../scene/values';
import type { BarResult } from '../screens/bars';
import type { Outline } from '../screens/outline';
import type { Regions } from '../screens/regions';
import type { Rotation } from '../screens/screen';
import type { Orientation } from '../screens/turn';
import type { Face } from '../text/style';

export interface LayerBase {
  id: string;
  name: string;
  role: LayerRole;
  /** 0..1 */
  opacity: number;
  box: Rect;
}

/** Of every layer that a rule places. */
export interface PlacedBase extends LayerBase {
  /** the panel that holds it */
  parent?: string;
  placement: Placement;
  /** what ends its view: the screen, and every clipping panel around it */
  window: Rect;
  measures: Measures;
}

export interface GroundResult extends LayerBase {
  kind: 'ground';
  paint: PlacedPaint;
}

export interface PictureResult extends PlacedBase {
  kind: 'picture';
  pictureId: string;
  cut: Cut['cut'];
  rendition: Rendition;
  /** subjects that are marked on another cut of the picture, but not on the one that is shown */
  unmarked: string[];
  /** `#rrggbb` or `#rrggbbaa`; `null` leaves the picture its colours */
  tint: string | null;
}

/** A line of text: where it starts on the baseline, absolute, lu. */
export interface TextLine {
  text: string;
  x: number;
  baseline: number;
}

export interface TextResult extends PlacedBase {
  kind: 'text';
  face: Face;
  /** lu */
  fontSize: number;
  colour: string;
  lines: TextLine[];
  shortened: boolean;
}

export interface PanelResult extends PlacedBase {
  kind: 'panel';
  paint: PlacedPaint;
  /** whether what it holds ends at its edges */
  clip: boolean;
}

export type PlacedResult = PictureResult | TextResult | PanelResult;
export type LayerResult = GroundResult | PlacedResult;

/** One case: what is drawn, back to front, what was measured, and which limits it breaks. */
export interface CaseResult {
  id: string;
  screenId: string;
  rotation: Rotation;
  orientation: Orientation;
  appearance: Appearance;
  regions: Regions;
  outline: Outline;
  /** drawn over the layers */
  bars: BarResult[];
  /** WCAG ratio of the signs on each of them with what lies under it; `null` while the pixels are not known */
  barContrast: (number | null)[];
  /** back to front; what a panel holds comes right after it */
  layers: LayerResult[];
  breaches: Breach[];
  outcome: Outcome;
}
