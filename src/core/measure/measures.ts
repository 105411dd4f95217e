import type { Axis, PerSide, Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import type { KeepArea, Rendition } from '../pictures/picture';
import type { Regions } from '../screens/regions';
import type { Outline } from '../screens/outline';
import type { Turned } from '../screens/turn';
import { bare, bareScreen, type BareScreen } from './bare';
import { collapsed } from './collapse';
import { clearance, visibleDrawing, type Clearance } from './clearance';
import { crop, type WithTotal } from './crop';
import { distortion } from './distortion';
import { enlargement, excess } from './enlargement';
import { subPixel } from './grid';
import { intrusion, type Intrusion } from './intrusion';
import { keep, type KeptSubject } from './keep';
import type { OffCentre } from './off-centre';
import { share, type Share } from './share';
import { spill } from './spill';
import type { LayerMeasure, MeasureSide } from './limit';

/** Everything measured of one picture layer on one case. `null` = the measure does not apply. */
export interface Measures {
  crop: WithTotal | null;
  bare: WithTotal | null;
  bareScreen: BareScreen;
  distortion: number | null;
  enlargement: number | null;
  /** px of the file per px drawn; over 1 is decoded for nothing */
  excess: number | null;
  clearance: Clearance | null;
  /** `null` where nothing is seen */
  intrusion: Intrusion | null;
  /** of the axes whose rule says “middle” */
  offCentre: Record<Axis, OffCentre | null>;
  /** share of the drawing outside of its box, not cut off */
  spill: number;
  /** distance of the drawing’s edges to the device’s grid, px */
  subPixel: PerSide;
  /** area shared with logos, texts and panels that it is not inside of, lu² */
  overlap: number;
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
  outline: Outline;
  /** the bars that are shown */
  bars: readonly Rect[];
  turned: Turned;
  offCentre: Record<Axis, OffCentre | null>;
  keepAreas?: readonly KeepArea[];
}

export function measure({
  placement: p,
  rendition,
  regions,
  window,
  outline,
  bars,
  turned,
  offCentre,
  keepAreas = [],
}: Measured): Measures {
  const { screen } = turned;
  const seen = visibleDrawing(p, window);
  return {
    crop: crop(p, window),
    bare: rendition && bare(p),
    bareScreen: bareScreen(p, regions.screen),
    distortion: rendition && distortion(p),
    enlargement: rendition && enlargement(p, rendition, screen.density),
    excess: rendition && excess(p, rendition, screen.density),
    intrusion: seen && intrusion(seen, outline, bars, turned),
    offCentre,
    spill: spill(p),
    subPixel: subPixel(p.drawn, screen.density),
    clearance: clearance(seen, regions.safe, regions.screen),
    share: share(seen, regions.screen, screen),
    keep: keep(p, keepAreas, outline),
    // What lies under a layer is only known to the survey.
    contrast: null,
    overlap: 0,
    collapsed: collapsed(p.box),
  };
}

const smallest = (sides: PerSide) => Math.min(sides.left, sides.right, sides.top, sides.bottom);

/** Losses: the total unless a side is named. */
const loss = (sides: WithTotal | null, side: MeasureSide = 'total') => sides && sides[side];

/** Distances: the smallest side unless one is named. */
const distance = (sides: PerSide | undefined, side: MeasureSide = 'total') =>
  sides ? (side === 'total' ? smallest(sides) : sides[side]) : null;

const furthest = ({ offCentre: { x, y } }: Measures, from: keyof OffCentre) =>
  x || y ? Math.max(Math.abs(x?.[from] ?? 0), Math.abs(y?.[from] ?? 0)) : null;

const FIGURES: Record<LayerMeasure, (m: Measures, side?: MeasureSide) => number | null> = {
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
  'keep-hidden': (m) => m.keep && Math.max(...m.keep.map((k) => k.hidden)),
  excess: (m) => m.excess,
  'under-cutout': (m) => m.intrusion && m.intrusion.cutout,
  'outside-corner': (m) => m.intrusion && m.intrusion.corner,
  'under-bar': (m) => m.intrusion && m.intrusion.bar,
  'across-fold': (m) => m.intrusion && m.intrusion.fold,
  'off-centre': (m) => furthest(m, 'own'),
  'off-centre-screen': (m) => furthest(m, 'screen'),
  'off-centre-safe': (m) => furthest(m, 'safe'),
  overlap: (m) => m.overlap,
  spill: (m) => m.spill,
  contrast: (m) => m.contrast,
  collapse: (m) => m.collapsed,
};

/**
 * The figure that a limit is held against; `null` where the measure does not apply. Without a side a measure of
 * losses gives its total and a clearance its smallest side.
 */
export const figure = (m: Measures, name: LayerMeasure, side?: MeasureSide): number | null =>
  FIGURES[name](m, side);
