import { placeAsIs, placePicture, type Placement } from '../fit/place';
import { placePaint } from '../fit/gradient';
import { intersect, partOf, type Axis, type Rect } from '../geometry/rect';
import { visibleDrawing } from '../measure/clearance';
import { breachesOf, judged, outcomeOf, type Breach } from '../measure/judge';
import { measure } from '../measure/measures';
import { offCentre, type OffCentre } from '../measure/off-centre';
import { overlapOf } from '../measure/overlap';
import { sceneMeasures } from '../measure/scene';
import { naturalSizeOf } from '../pictures/choose';
import { unmarkedIn } from '../pictures/picture';
import type { Cut, Rendition } from '../pictures/picture';
import type { Documents } from '../scene/documents';
import {
  isPlaced,
  type GroundLayer,
  type PanelLayer,
  type PictureLayer,
  type PlacedLayer,
  type Scene,
  type TextLayer,
} from '../scene/scene';
import { resolveColour, resolveLength } from '../scene/values';
import { barsOf, type BarResult } from '../screens/bars';
import type { Case } from '../screens/cases';
import { outlineOf, type Outline } from '../screens/outline';
import { faceOf } from '../text/style';
import { barContrast, contrastOf } from './contrast';
import type {
  CaseResult,
  GroundResult,
  LayerResult,
  PanelResult,
  PictureResult,
  PlacedBase,
  PlacedResult,
  TextResult,
} from './result';
import { inDrawingOrder, prepareCase, type Outside, type Prepared, type SurveyInput } from './prepare';

export type { Outside, SurveyInput } from './prepare';
export type * from './result';

/** What a survey of a scene needs of the documents it stands in. */
export const surveyInput = ({ project }: Documents, scene: Scene, outside: Outside): SurveyInput => ({
  scene,
  pictures: project.pictures,
  named: project.named,
  limits: project.limits,
  ...outside,
});

/** Everything that is the same for all layers of a case. */
interface Scope {
  input: SurveyInput;
  c: Case;
  prepared: Prepared;
  outline: Outline;
  bars: BarResult[];
}

/** What ends the view of a layer: the screen, and each clipping panel around it. */
function windowOf(layer: PlacedLayer, { prepared }: Scope): Rect {
  let window: Rect | null = prepared.regions.screen;
  const holderOf = (l: PlacedLayer) => prepared.layers.find((p): p is PanelLayer => p.id === l.parent);
  for (let panel = holderOf(layer); panel && window; panel = holderOf(panel)) {
    if (panel.clip) window = intersect(window, prepared.boxOf(panel.id));
  }
  return window ?? { x: 0, y: 0, width: 0, height: 0 };
}

function drawGround(layer: GroundLayer, { input, c, prepared }: Scope): GroundResult {
  const { id, name, role, opacity = 1 } = layer;
  const box = prepared.regions.screen;
  return {
    kind: 'ground',
    id,
    name,
    role,
    opacity,
    box,
    paint: placePaint(layer.colour, box, c.appearance, input.named),
  };
}

/** @param file what it is drawn from, `null` for what is not drawn from a file */
function base(
  layer: PlacedLayer,
  placement: Placement,
  file: { rendition: Rendition; cut: Cut } | null,
  scope: Scope,
): PlacedBase {
  const { id, name, role, opacity = 1, parent } = layer;
  const { regions, turned } = scope.prepared;
  const window = windowOf(layer, scope);
  const measures = measure({
    placement,
    rendition: file?.rendition ?? null,
    regions,
    window,
    outline: scope.outline,
    bars: scope.bars.map((b) => b.rect),
    turned,
    offCentre: offCentres(layer, placement, file?.rendition ?? null, scope),
    keepAreas: file?.cut.keepAreas,
  });
  return { id, name, role, opacity, box: placement.box, parent, placement, measures };
}

/** How far the ink lies off where a rule says “middle”. */
function offCentres(layer: PlacedLayer, { drawn }: Placement, rendition: Rendition | null, scope: Scope) {
  const { prepared, input } = scope;
  const ink = rendition && input.pixels?.get(rendition.hash)?.ink?.bounds;
  const inked = ink ? partOf(drawn, ink) : drawn;
  const along = (axis: Axis): OffCentre | null => {
    const rule = layer.placing[axis];
    if (rule.kind !== 'middle') return null;
    const meant = prepared.middleOf(layer.id, axis);
    return offCentre(inked, axis, meant.at, meant.shift, prepared.regions);
  };
  return { x: along('x'), y: along('y') };
}

function drawPicture(layer: PictureLayer, scope: Scope): PictureResult {
  const { input, c, prepared } = scope;
  const { rendition, cut } = prepared.chosen.get(layer.id)!;
  const { cuts } = input.pictures.find((p) => p.id === layer.picture)!;
  const placement = placePicture({
    fit: layer.fit,
    natural: naturalSizeOf(rendition),
    box: prepared.boxOf(layer.id),
    screen: windowOf(layer, scope),
    focalPoint: cut.focalPoint,
    density: c.screen.density,
    named: input.named,
  });
  const tint = layer.tint ? resolveColour(layer.tint, c.appearance, input.named) : null;
  return {
    kind: 'picture',
    ...base(layer, placement, { rendition, cut }, scope),
    pictureId: layer.picture,
    cut: cut.cut,
    rendition,
    unmarked: unmarkedIn(cuts, cut),
    tint,
  };
}

const PLACES = { start: 0, middle: 0.5, end: 1 } as const;
const MIRRORED = { start: 'end', middle: 'middle', end: 'start' } as const;

function drawText(layer: TextLayer, scope: Scope): TextResult {
  const { input, c, prepared } = scope;
  const { style } = layer;
  const box = prepared.boxOf(layer.id);
  const block = prepared.blockOf(layer, box.width, box.height);
  const face = faceOf(style);
  const alignX = input.scene.direction === 'rtl' ? MIRRORED[style.align.x] : style.align.x;
  const start = (room: number, taken: number, place: keyof typeof PLACES) => (room - taken) * PLACES[place];
  const top = box.y + start(box.height, block.height, style.align.y);
  const pitch = block.fontSize * style.lineHeight;
  const { ascent, descent } = input.fonts!.vertical(face);
  // The letters stand in the middle of their line, as CSS 2.1 §10.8.1 halves the leading.
  const baseline = (pitch + (ascent - descent) * block.fontSize) / 2;
  const lines = block.lines.map(({ text, width }, i) => ({
    text,
    x: box.x + start(box.width, width, alignX),
    baseline: top + i * pitch + baseline,
  }));
  const x = box.x + start(box.width, block.width, alignX);
  const drawn = { x, y: top, width: block.width, height: block.height };
  const placement = placeAsIs(drawn, box, windowOf(layer, scope));
  return {
    kind: 'text',
    ...base(layer, placement, null, scope),
    face,
    fontSize: block.fontSize,
    colour: resolveColour(style.colour, c.appearance, input.named),
    lines,
    shortened: block.shortened,
  };
}

function drawPanel(layer: PanelLayer, scope: Scope): PanelResult {
  const { input, c, prepared } = scope;
  const box = prepared.boxOf(layer.id);
  const shorter = Math.min(box.width, box.height);
  const radius = resolveLength(layer.cornerRadius, shorter, c.screen.density, input.named);
  const placement = placeAsIs(box, box, windowOf(layer, scope), Math.min(radius, shorter / 2));
  return {
    kind: 'panel',
    ...base(layer, placement, null, scope),
    paint: placePaint(layer.colour, box, c.appearance, input.named),
    clip: layer.clip,
  };
}

function drawPlaced(layer: PlacedLayer, scope: Scope): PlacedResult {
  if (layer.kind === 'picture') return drawPicture(layer, scope);
  return layer.kind === 'text' ? drawText(layer, scope) : drawPanel(layer, scope);
}

/** What can only be measured once everything is drawn; the layers are this survey’s own and are filled in. */
function measureTogether(layers: readonly LayerResult[], { input, c, prepared }: Scope): void {
  const { screen } = prepared.regions;
  const standing = layers.flatMap((l) => {
    if (l.kind === 'ground' || l.role === 'background') return [];
    const seen = l.kind === 'panel' || l.role !== 'other' ? visibleDrawing(l.placement, screen) : null;
    return seen ? [{ id: l.id, parent: l.parent, seen }] : [];
  });
  layers.forEach((layer, i) => {
    if (layer.kind === 'ground') return;
    const own = standing.find((s) => s.id === layer.id);
    if (own) layer.measures.overlap = overlapOf(own, standing);
    layer.measures.contrast = contrastOf(layer, layers.slice(0, i), input.pixels ?? null, c.appearance);
  });
}

/** Limits broken by the layers, the bars and the case as a whole. */
function judge(layers: readonly LayerResult[], { input, c, prepared, bars }: Scope): Breach[] {
  const { limits, pixels, named } = input;
  const found = layers.flatMap((l) => (l.kind === 'ground' ? [] : breachesOf(l, l.measures, limits)));
  for (const bar of limits.some((l) => l.role === 'bar') ? bars : []) {
    const contrast = barContrast(bar, layers, pixels ?? null, c.appearance);
    found.push(...judged(`bar:${bar.kind}`, 'bar', limits, () => contrast));
  }
  const shown = prepared.layers.filter((l) => l.visible);
  const fileOf = (id: string) => prepared.chosen.get(id)!.rendition.appearance;
  const whole = sceneMeasures(shown, fileOf, c.appearance, named);
  found.push(...judged('scene', 'scene', limits, (l) => whole[l.measure as keyof typeof whole]));
  return found;
}

/** Everything of one case, in the order of the specification: turn, choose files, place, fit, measure, judge. */
export const surveyCase = (input: SurveyInput, c: Case): CaseResult =>
  surveyPrepared(input, c, prepareCase(input, c));

/** The same of a case that is prepared already. */
export function surveyPrepared(input: SurveyInput, c: Case, prepared: Prepared): CaseResult {
  const { turned, regions } = prepared;
  const bars = barsOf(turned, input.scene.bars, c.appearance, input.named);
  const scope = { input, c, prepared, outline: outlineOf(turned), bars };
  const layers: LayerResult[] = [];
  for (const layer of inDrawingOrder(prepared.layers)) {
    if (!layer.visible) continue;
    if (!isPlaced(layer)) {
      layers.push(drawGround(layer, scope));
      continue;
    }
    layers.push(drawPlaced(layer, scope));
  }
  measureTogether(layers, scope);
  const breaches = judge(layers, scope);
  return {
    id: c.id,
    screenId: c.screen.id,
    rotation: c.rotation,
    orientation: turned.orientation,
    appearance: c.appearance,
    regions,
    outline: scope.outline,
    bars,
    layers,
    breaches,
    outcome: outcomeOf(breaches),
  };
}

/** The one call behind the screen, the server, the command line and the exit code. */
export const survey = (input: SurveyInput, cases: readonly Case[]): CaseResult[] =>
  cases.map((c) => surveyCase(input, c));
