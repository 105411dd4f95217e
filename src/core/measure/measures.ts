import type { PerSide } from '../geometry/rect';
import type { Placement } from '../fit/place';
import type { Rendition } from '../pictures/picture';
import type { Regions } from '../screens/regions';
import type { Screen } from '../screens/screen';
import { bare, bareScreen, type BareScreen } from './bare';
import { clearance, type Clearance } from './clearance';
import { crop, type WithTotal } from './crop';
import { distortion } from './distortion';
import { enlargement } from './enlargement';
import { share, type Share } from './share';
import type { MeasureName, MeasureSide } from './limit';

/** Everything measured of one picture layer on one case. `null` = the measure does not apply. */
export interface Measures {
  crop: WithTotal | null;
  bare: WithTotal | null;
  bareScreen: BareScreen;
  distortion: number | null;
  enlargement: number;
  clearance: Clearance | null;
  share: Share;
}

export function measure(p: Placement, rendition: Rendition, regions: Regions, screen: Screen): Measures {
  return {
    crop: crop(p, regions.screen),
    bare: bare(p),
    bareScreen: bareScreen(p, regions.screen),
    distortion: distortion(p),
    enlargement: enlargement(p, rendition, screen.density),
    clearance: clearance(p, regions.safe, regions.screen),
    share: share(p, regions.screen, screen),
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
};

/**
 * The figure that a limit is held against; `null` where the measure does not apply. Without a side a measure of
 * losses gives its total and a clearance its smallest side.
 */
export const figure = (m: Measures, name: MeasureName, side?: MeasureSide): number | null =>
  FIGURES[name](m, side);
