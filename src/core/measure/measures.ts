import type { PerSide, Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import type { KeepArea, Rendition } from '../pictures/picture';
import type { Regions } from '../screens/regions';
import type { Outline } from '../screens/outline';
import type { Screen } from '../screens/screen';
import { bare, bareScreen, type BareScreen } from './bare';
import { collapsed } from './collapse';
import { clearance, type Clearance } from './clearance';
import { crop, type WithTotal } from './crop';
import { distortion } from './distortion';
import { enlargement } from './enlargement';
import { keep, type KeptSubject } from './keep';
import { share, type Share } from './share';
import type { MeasureName, MeasureSide } from './limit';

/** Everything measured of one picture layer on one case. `null` = the measure does not apply. */
export interface Measures {
  crop: WithTotal | null;
  bare: WithTotal | null;
  bareScreen: BareScreen;
  distortion: number | null;
  enlargement: number | null;
  clearance: Clearance | null;
  share: Share;
  /** of each keep area of the cut that is shown */
  keep: KeptSubject[] | null;
  /** WCAG ratio with what lies under it, of a text or a logo whose pixels are known */
  contrast: number | null;
  /** axes along which the box has no extent, 0..2 */
  collapsed: number;
}

export interface Measured {
  placement: Placement;
  /** `null` for what is not drawn from a file */
  rendition: Rendition | null;
  regions: Regions;
  /** what ends the view: the screen, and every clipping panel around the layer */
  window: Rect;
  screen: Screen;
  outline: Outline;
  keepAreas?: readonly KeepArea[];
}

export function measure({
  placement: p,
  rendition,
  regions,
  window,
  screen,
  outline,
  keepAreas = [],
}: Measured): Measures {
  return {
    crop: crop(p, window),
    bare: rendition && bare(p),
    bareScreen: bareScreen(p, regions.screen),
    distortion: rendition && distortion(p),
    enlargement: rendition && enlargement(p, rendition, screen.density),
    clearance: clearance(p, regions.safe, { screen: regions.screen, window }),
    share: share(p, { screen: regions.screen, window }, screen),
    keep: keep(p, keepAreas, outline),
    // What lies under a layer is only known to the survey.
    contrast: null,
    collapsed: collapsed(p.box),
  };
}

const smallest = (sides: PerSide) => Math.min(sides.left, sides.right, sides.top, sides.bottom);

/** Losses: the total unless a side is named. */
const loss = (sides: WithTotal | null, side: MeasureSide = 'total') => sides && sides[side];

/** Distances: the smallest side unless one is named. */
const distance = (sides: PerSide | undefined, side: MeasureSide = 'total') =>
  sides ? (side === 'total' ? smallest(sides) : sides[side]) : null;

const FIGURES: Record<MeasureName, (m: Measures, side?: MeasureSide) => number | null> = {
  crop: (m, side) => loss(m.crop, side),
  bare: (m, side) => loss(m.bare, side),
  'bare-screen': (m, side) => loss(m.bareScreen, side),
  distortion: (m) => m.distortion,
  enlargement: (m) => m.enlargement,
  'clearance-safe': (m, side) => distance(m.clearance?.safe, side),
  'clearance-screen': (m, side) => distance(m.clearance?.screen, side),
  'share-width': (m) => m.share.width,
  'share-height': (m) => m.share.height,
  'share-area': (m) => m.share.area,
  'keep-lost': (m) => m.keep && Math.max(...m.keep.map((k) => k.lost)),
  contrast: (m) => m.contrast,
  collapse: (m) => m.collapsed,
};

/**
 * The figure that a limit is held against; `null` where the measure does not apply. Without a side a measure of
 * losses gives its total and a clearance its smallest side.
 */
export const figure = (m: Measures, name: MeasureName, side?: MeasureSide): number | null =>
  FIGURES[name](m, side);
