import type { PerSide, Rect } from '../geometry/rect';
import type { Placement } from '../fit/place';
import type { KeepArea, Rendition } from '../pictures/picture';
import type { FileInk } from '../pixels/file';
import type { Regions } from '../screens/regions';
import { SLOT_KIND, type Screen } from '../screens/screen';
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
import type { OffCentres } from './off-centre';
import { share, type Share } from './share';
import { spill } from './spill';

/** Everything measured of one picture layer on one case. `null` = the measure does not apply. */
export class Measures {
  readonly placement: Placement;
  /** of the file it is drawn from, as far as its pixels are known; a tint leaves nothing of an opaque one but its rectangle */
  ink: FileInk | null;
  readonly crop: WithTotal | null;
  readonly bare: WithTotal | null;
  readonly bareScreen: BareScreen;
  readonly distortion: number | null;
  readonly enlargement: number | null;
  /** px of the file per px drawn; over 1 is decoded for nothing */
  readonly excess: number | null;
  readonly clearance: Clearance | null;
  /** `null` where nothing is seen */
  readonly intrusion: Intrusion | null;
  /** of the axes whose rule says “middle” */
  offCentre: OffCentres;
  /** share of the drawing outside its box, not cut off */
  readonly spill: number;
  /** distance of the drawing’s edges to the device’s grid, px */
  readonly subPixel: PerSide;
  /** area shared with logos, texts and panels that it is not inside of, lu² */
  overlap: number;
  readonly share: Share;
  /** of its thinnest line, device px; in a slot of an icon, of a picture whose pixels are known, and which does not repeat */
  linePx: number | null;
  /** of each keep area of the cut that is shown */
  readonly keep: KeptSubject[] | null;
  /** WCAG ratio with what lies under it, of a text or a logo whose pixels are known */
  contrast: number | null;
  /** axes along which the box has no extent, 0..2 */
  readonly collapsed: number;
  /** of a text, the number of letters that its font does not have, each counted once */
  missingLetters: number | null;
  /** of a text, and of a picture that is see-through in parts: the share of its ink that is not seen, 0..1 */
  cutOff: number | null;
  /** of a text, the number of letters that are left out as it is shortened */
  shortened: number | null;
  /** of a text, the size of its type as it is set, lu */
  letterSize: number | null;

  /** @param all to be copied */
  constructor(all: Measures) {
    this.placement = all.placement;
    this.ink = all.ink;
    this.crop = all.crop;
    this.bare = all.bare;
    this.bareScreen = all.bareScreen;
    this.distortion = all.distortion;
    this.enlargement = all.enlargement;
    this.excess = all.excess;
    this.clearance = all.clearance;
    this.intrusion = all.intrusion;
    this.offCentre = all.offCentre;
    this.spill = all.spill;
    this.subPixel = all.subPixel;
    this.overlap = all.overlap;
    this.share = all.share;
    this.linePx = all.linePx;
    this.keep = all.keep;
    this.contrast = all.contrast;
    this.collapsed = all.collapsed;
    this.missingLetters = all.missingLetters;
    this.cutOff = all.cutOff;
    this.shortened = all.shortened;
    this.letterSize = all.letterSize;
  }
}

/** How thick the thinnest line of a picture is drawn in a slot of an icon, device px; `null` anywhere else. */
export function linePx(
  { drawn, tiles }: Placement,
  ink: FileInk | null,
  { kind, density }: Pick<Screen, 'kind' | 'density'>,
): number | null {
  // Asked last: it is only found when somebody asks.
  if (kind !== SLOT_KIND || !ink || tiles.x || tiles.y || ink.line === null) return null;
  return ink.line * drawn.width * density;
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
  offCentre: OffCentres;
  ink: FileInk | null;
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
  ink,
  keepAreas = [],
}: Measured): Measures {
  const { screen } = turned;
  const seen = visibleDrawing(p, window);
  return new Measures({
    placement: p,
    ink,
    crop: crop(p, window),
    bare: rendition && bare(p),
    bareScreen: bareScreen(p, regions.screen, window),
    distortion: rendition && distortion(p),
    enlargement: rendition && enlargement(p, rendition, screen.density),
    excess: rendition && excess(p, rendition, screen.density),
    intrusion: seen && intrusion(seen, outline, bars, turned),
    offCentre,
    spill: spill(p),
    subPixel: subPixel(p.drawn, screen.density),
    clearance: clearance(seen, regions.safe, regions.screen),
    share: share(seen, regions.screen, screen),
    linePx: linePx(p, ink, screen),
    keep: keep(p, keepAreas, outline),
    // What lies under a layer is only known to the survey.
    contrast: null,
    overlap: 0,
    collapsed: collapsed(p.box),
    cutOff: null,
    // Only of texts.
    missingLetters: null,
    shortened: null,
    letterSize: null,
  });
}
