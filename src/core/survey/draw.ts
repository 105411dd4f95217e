import { placeAsIs, placePicture, type Placement } from '../fit/place';
import { placePaint } from '../fit/gradient';
import { laidAround } from '../placing/presets';
import { fittingRadius, intersect, partOf, rectOf, type Axis, type Rect } from '../geometry/rect';
import { linePx, measure, Measures } from '../measure/measures';
import { offCentre, OffCentres, type OffCentre } from '../measure/off-centre';
import { inkIn, type FileInk } from '../pixels/file';
import { naturalSizeOf } from '../pictures/choose';
import { unmarkedIn } from '../pictures/picture';
import type { Cut, Rendition } from '../pictures/picture';
import {
  type GroundLayer,
  type PanelLayer,
  type PictureLayer,
  type PlacedLayer,
  type TextLayer,
} from '../scene/scene';
import { resolveColour, resolveLength } from '../values/values';
import { type BarResult } from '../screens/bars';
import type { Case } from '../screens/cases';
import { type Outline } from '../screens/outline';
import { faceOf } from '../text/style';
import {
  GroundResult,
  PanelResult,
  PictureResult,
  TextLine,
  TextResult,
  type CaseResult,
  type Lying,
  type PlacedResult,
} from './result';
import { keptGround, keptLayer, liesAsBefore, type KeptCase } from './earlier';
import { blockOf } from './laid';
import { type Prepared, type SurveyInput } from './prepare';

/** Everything that is the same for all layers of a case. */
export interface CaseScope {
  input: SurveyInput;
  c: Case;
  prepared: Prepared;
  outline: Outline;
  bars: readonly BarResult[];
  /** the same screen, turned alike and with files of the same sizes, in the other appearance */
  twin: CaseResult | null;
  /** the same case in an earlier survey */
  kept: KeptCase | null;
}

const boxOf = (id: string, { prepared, kept }: CaseScope): Rect =>
  kept?.known(id) ?? prepared.laid().boxOf(id);

/** What ends the view of a layer: the screen, and each clipping panel around it. */
function windowOf(layer: PlacedLayer, scope: CaseScope): Rect {
  const { prepared } = scope;
  let window: Rect | null = prepared.regions.screen;
  const holderOf = ({ parent }: PlacedLayer) =>
    parent === undefined ? undefined : prepared.layers.find((p): p is PanelLayer => p.id === parent);
  for (let panel = holderOf(layer); panel && window; panel = holderOf(panel)) {
    if (panel.clip) window = intersect(window, boxOf(panel.id, scope));
  }
  return window ?? rectOf(0, 0, 0, 0);
}

export function drawGround(layer: GroundLayer, { input, c, prepared, kept }: CaseScope): GroundResult {
  const was = keptGround(layer.id, kept);
  if (was) return was;
  const box = prepared.regions.screen;
  return new GroundResult(layer, box, placePaint(layer.colour, box, c.appearance, input.named));
}

/** @param file what it is drawn from, `null` for what is not drawn from a file */
function lying(
  layer: PlacedLayer,
  placement: Placement,
  file: { rendition: Rendition; cut: Cut } | null,
  scope: CaseScope,
): Lying {
  const { regions, turned } = scope.prepared;
  const window = windowOf(layer, scope);
  const ink = file && inkOfFile(layer, file.rendition, scope);
  const measures = measure({
    placement,
    rendition: file?.rendition ?? null,
    regions,
    window,
    outline: scope.outline,
    bars: scope.bars.map((b) => b.rect),
    turned,
    offCentre: offCentres(layer, placement, ink, scope),
    ink,
    keepAreas: file?.cut.keepAreas,
  });
  return { placement, window, measures };
}

/** How a layer lies that lies alike in the other appearance. What is only measured once everything is drawn is each one's own. */
const lyingAlike = ({ placement, window, measures }: PlacedResult): Lying => ({
  placement,
  window,
  measures: new Measures(measures),
});

/** The ink of the file that a layer is drawn from, as it is drawn; `null` without any, or where its pixels are not known. */
function inkOfFile(layer: PlacedLayer, { hash }: Rendition, { input }: CaseScope): FileInk | null {
  const file = input.pixels?.get(hash);
  return file ? inkIn(file, layer.kind === 'picture' && layer.tint !== undefined) : null;
}

/** How far the ink lies off where a rule says “middle”. */
function offCentres(
  layer: PlacedLayer,
  { drawn }: Placement,
  ink: FileInk | null,
  { prepared }: CaseScope,
): OffCentres {
  const inked = ink ? partOf(drawn, ink.bounds) : drawn;
  const along = (axis: Axis): OffCentre | null => {
    if (layer.placing[axis].kind !== 'middle') return null;
    const meant = prepared.laid().middleOf(layer.id, axis);
    return offCentre(inked, axis, meant.at, meant.shift, prepared.regions);
  };
  return new OffCentres(along('x'), along('y'));
}

/** What was found of a layer in the other appearance: where it lies there, it lies here. */
function twinOf<K extends PlacedResult['kind']>(id: string, kind: K, { twin }: CaseScope) {
  const found = twin?.layers.find((l) => l.id === id);
  return found?.kind === kind ? (found as Extract<PlacedResult, { kind: K }>) : null;
}

function drawPicture(layer: PictureLayer, scope: CaseScope): PictureResult {
  const { input, c, prepared } = scope;
  const choice = prepared.chosen.get(layer.id)!;
  const { rendition, cut } = choice;
  const tint = layer.tint ? resolveColour(layer.tint, c.appearance, input.named) : null;
  const twin = twinOf(layer.id, 'picture', scope);
  if (twin) {
    const alike = lyingAlike(twin);
    if (twin.rendition.hash !== rendition.hash) {
      const ink = inkOfFile(layer, rendition, scope);
      alike.measures.ink = ink;
      alike.measures.linePx = linePx(twin.placement, ink, c.screen);
      alike.measures.offCentre = offCentres(layer, twin.placement, ink, scope);
    }
    const { pictureId, unmarked } = twin;
    return new PictureResult(layer, alike, { pictureId, cut: cut.cut, rendition, unmarked, tint });
  }
  const { cuts } = input.pictures.find((p) => p.id === layer.picture)!;
  const placement = placePicture({
    fit: layer.fit,
    natural: naturalSizeOf(rendition),
    box: boxOf(layer.id, scope),
    screen: windowOf(layer, scope),
    focalPoint: cut.focalPoint,
    density: c.screen.density,
    named: input.named,
  });
  const unmarked = unmarkedIn(cuts, cut);
  const shown = { pictureId: layer.picture, cut: cut.cut, rendition, unmarked, tint };
  return new PictureResult(layer, lying(layer, placement, choice, scope), shown);
}

/** Letters that are drawn: neither spaces nor the sign that some are left out. */
const lettersIn = (text: string) => [...text.replaceAll(/[\s…]/gu, '')].length;

const PLACES = { start: 0, middle: 0.5, end: 1 } as const;
const MIRRORED = { start: 'end', middle: 'middle', end: 'start' } as const;

function drawText(layer: TextLayer, scope: CaseScope): TextResult {
  const { input, c } = scope;
  const { style } = layer;
  const colour = resolveColour(style.colour, c.appearance, input.named);
  const twin = twinOf(layer.id, 'text', scope);
  const face = faceOf(style);
  if (twin) {
    const { fontSize, lines, shortened, missing } = twin;
    return new TextResult(layer, lyingAlike(twin), { face, fontSize, colour, lines, shortened, missing });
  }
  const box = boxOf(layer.id, scope);
  const block = blockOf(layer, input.fonts, box.width, box.height);
  const alignX = input.scene.direction === 'rtl' ? MIRRORED[style.align.x] : style.align.x;
  const top = box.y + (box.height - block.height) * PLACES[style.align.y];
  const pitch = block.fontSize * style.lineHeight;
  const { ascent, descent } = input.fonts!.vertical(face);
  // The letters stand in the middle of their line, as CSS 2.1 §10.8.1 halves the leading.
  const baseline = top + (pitch + (ascent - descent) * block.fontSize) / 2;
  const startOf = (width: number) => box.x + (box.width - width) * PLACES[alignX];
  const lines = block.lines.map(
    ({ text, width, reading }, i) => new TextLine(text, startOf(width), baseline + i * pitch, reading),
  );
  const drawn = rectOf(startOf(block.width), top, block.width, block.height);
  const placement = placeAsIs(drawn, box, windowOf(layer, scope));
  const { fontSize, shortened } = block;
  const missing = input.fonts!.missing(layer.text, face);
  const set = { face, fontSize, colour, lines, shortened, missing };
  const result = new TextResult(layer, lying(layer, placement, null, scope), set);
  Object.assign(result.measures, {
    missingLetters: missing.length,
    shortened: shortened ? lettersIn(layer.text) - lettersIn(lines.map((l) => l.text).join('')) : 0,
    letterSize: fontSize,
  });
  return result;
}

function drawPanel(layer: PanelLayer, scope: CaseScope): PanelResult {
  const { input, c } = scope;
  const twin = twinOf(layer.id, 'panel', scope);
  const box = twin?.box ?? boxOf(layer.id, scope);
  const paint = placePaint(layer.colour, box, c.appearance, input.named);
  const look = { paint, clip: layer.clip, around: laidAround(layer.placing) };
  if (twin) return new PanelResult(layer, lyingAlike(twin), look);
  const shorter = Math.min(box.width, box.height);
  const radius = resolveLength(layer.cornerRadius, shorter, c.screen.density, input.named);
  const placement = placeAsIs(box, box, windowOf(layer, scope), fittingRadius(radius, box));
  return new PanelResult(layer, lying(layer, placement, null, scope), look);
}

/** The layer as it was, if neither its rule nor anything else has changed it. */
function keptPlaced(layer: PlacedLayer, scope: CaseScope): PlacedResult | null {
  const { kept, prepared } = scope;
  const was = kept && keptLayer(layer, kept, prepared);
  if (!was || kept.unmoved.has(layer.id)) return was;
  return liesAsBefore(was, boxOf(layer.id, scope), windowOf(layer, scope)) ? was : null;
}

export function drawPlaced(layer: PlacedLayer, scope: CaseScope): PlacedResult {
  const was = keptPlaced(layer, scope);
  if (was) return was;
  if (layer.kind === 'picture') return drawPicture(layer, scope);
  return layer.kind === 'text' ? drawText(layer, scope) : drawPanel(layer, scope);
}
