import type { Rect } from '../geometry/rect';
import { visibleDrawing } from '../measure/clearance';
import { leansOn } from '../scene/layers';
import { sameJson } from '../patch/patch';
import { isPlaced, type Layer, type PlacedLayer } from '../scene/scene';
import type { Outside, Prepared, Shell, SurveyInput } from './prepare';
import type { CaseResult, GroundResult, LayerResult, PlacedResult } from './result';

/*
 * A survey of a project is thousands of cases, and an edit changes little of each. Four words say what is taken over from
 * where; each is only ever a shortcut, and what comes of it is the same to the last bit as without.
 *
 * - A *twin* is the result of the same case in the other appearance. Light and dark differ in colours and files, hardly
 *   ever in where things lie: a layer whose twin was drawn by the same rule from a file of the same shape lies as the twin
 *   does, and only what hangs on colours is measured again. Twins are of one survey, and nothing of them outlives it.
 * - An *earlier* survey is what was asked before and what it found, case by case: `Earlier`. The next survey compares its
 *   input with that one, layer by layer (`Unchanged`), and takes over whatever cannot have changed: placements, measures,
 *   contrast, breaches. Compared is by identity, because documents are edited in place of copies.
 * - What is *kept* is as much of a result as the next survey can use (`KeptCase`): the result itself, and how its case was
 *   prepared without what placed its layers, which is large and quickly made anew. While a value runs, every state is
 *   compared with what was kept before the first, and is not kept itself.
 * - An input is made *known* by giving it the very layers and text styles of an earlier one wherever they say the same
 *   (`withKnown`): what comes from another thread is a copy all over, and by identity it would be a stranger.
 */

/** What was found on a case, and as what it was prepared; what placed its layers is not kept. */
export interface FoundCase {
  prepared: Shell;
  result: CaseResult;
}

/** A survey that was made before: what was asked, and what it found, by case. */
export interface Earlier {
  input: SurveyInput;
  found: ReadonlyMap<string, FoundCase>;
}

/** What of an earlier survey may still hold. */
export interface Unchanged {
  /** layers whose rule is as it was, and so are those of the panels around them */
  same: ReadonlySet<string>;
  /** layers that lie where they lay: neither they nor anything that they are measured from, however far, is placed anew */
  unmoved: ReadonlySet<string>;
  /** whether limits, and what of them is accepted, are as they were */
  judgedAlike: boolean;
}

/** What is to be kept of a survey for the next one. */
export const foundOn = (result: CaseResult, prepared: Prepared): FoundCase => {
  const { turned, regions, layers, drawn, chosen } = prepared;
  return { result, prepared: { turned, regions, layers, drawn, chosen } };
};

/** What is kept of one case of an earlier survey. */
export class KeptCase implements Unchanged, FoundCase {
  readonly prepared: Shell;
  readonly result: CaseResult;
  readonly same: ReadonlySet<string>;
  readonly unmoved: ReadonlySet<string>;
  readonly judgedAlike: boolean;

  constructor({ prepared, result }: FoundCase, { same, unmoved, judgedAlike }: Unchanged) {
    this.prepared = prepared;
    this.result = result;
    this.same = same;
    this.unmoved = unmoved;
    this.judgedAlike = judgedAlike;
  }

  /** the box of a layer that lies where it lay; `null` of another, and of one that was not drawn */
  known(id: string): Rect | null {
    return (this.unmoved.has(id) && resultOf(id, this)?.box) || null;
  }
}

/** Whether all files have the very pixels that they had. */
export const samePixels = (a: Outside['pixels'], b: Outside['pixels']): boolean =>
  a === b || (!!a && !!b && [...a].every(([hash, file]) => b.get(hash) === file) && a.size === b.size);

/** Whether everything but the layers themselves, and what is asked of them, is as it was. */
export const isSameGround = (a: SurveyInput, b: SurveyInput): boolean =>
  a.fonts === b.fonts &&
  samePixels(a.pixels, b.pixels) &&
  sameJson({ ...a.scene, layers: [] }, { ...b.scene, layers: [] }) &&
  sameJson(a.named, b.named) &&
  sameJson(a.pictures, b.pictures);

/** What does not move a layer, nor another one. */
const LOOKS = ['name', 'role', 'opacity', 'tint', 'fit', 'colour', 'cornerRadius', 'clip'];

/** A layer without its looks. */
function placed(layer: Layer): unknown {
  const rest = Object.fromEntries(Object.entries(layer).filter(([key]) => !LOOKS.includes(key)));
  const when = isPlaced(layer) ? layer.when?.map(({ fit: _, ...w }) => w) : undefined;
  return { ...rest, when };
}

/** The layers that may lie elsewhere once these do: what is measured from them, what they hold, and what holds them. */
function movedWith(first: readonly string[], layers: readonly Layer[]): Set<string> {
  const moved = new Set(first);
  for (const id of moved) {
    const parent = layers.find((l) => l.id === id && isPlaced(l)) as PlacedLayer | undefined;
    if (parent?.parent) moved.add(parent.parent);
    for (const l of layers.filter(isPlaced)) if (l.parent === id || leansOn(l, id)) moved.add(l.id);
  }
  return moved;
}

/**
 * Gives an input the very layers and text styles of an earlier one wherever they say the same, so that what is
 * kept by them is found again; what comes from another thread is new all over.
 */
export function withKnown(input: SurveyInput, earlier: Earlier): SurveyInput {
  const was = new Map(earlier.input.scene.layers.map((l) => [l.id, l]));
  const layers = input.scene.layers.map((l): Layer => {
    const old = was.get(l.id);
    if (!old || sameJson(l, old)) return old ?? l;
    return l.kind === 'text' && old.kind === 'text' && sameJson(l.style, old.style)
      ? { ...l, style: old.style }
      : l;
  });
  return { ...input, scene: { ...input.scene, layers } };
}

/** What an earlier survey may still say of a scene; `null` where more has changed than layers and limits. */
export function unchangedSince(input: SurveyInput, earlier: Earlier): Unchanged | null {
  if (!isSameGround(input, earlier.input)) return null;
  const { layers } = input.scene;
  const was = new Map(earlier.input.scene.layers.map((l) => [l.id, l]));
  const same = new Map(layers.filter((l) => sameJson(l, was.get(l.id))).map((l) => [l.id, l]));
  const isWhole = (layer: Layer | undefined): boolean =>
    layer !== undefined &&
    (!isPlaced(layer) || layer.parent === undefined || isWhole(same.get(layer.parent)));
  const gone = [...was.values()].filter((o) => !layers.some((l) => l.id === o.id));
  const isPlacedAnew = (l: Layer) => {
    const old = was.get(l.id);
    return !old || !sameJson(placed(l), placed(old));
  };
  const moved = movedWith(
    [...gone, ...layers.filter(isPlacedAnew)].map((l) => l.id),
    [...layers, ...gone],
  );
  return {
    same: new Set([...same.values()].filter(isWhole).map((l) => l.id)),
    unmoved: new Set(layers.map((l) => l.id).filter((id) => !moved.has(id))),
    judgedAlike:
      sameJson(input.limits, earlier.input.limits) &&
      sameJson(input.accepted ?? [], earlier.input.accepted ?? []),
  };
}

const sameRect = (a: Rect, b: Rect) =>
  a.x === b.x && a.y === b.y && a.width === b.width && a.height === b.height;

/** How far off its middle a layer is hangs on the size of what it is in the middle of. */
const leansOnMiddle = ({ placing }: PlacedLayer) =>
  [placing.x, placing.y].some(
    (rule) => rule.kind === 'middle' && (rule.region === 'parent' || rule.region.startsWith('layer:')),
  );

function hasSameFile(was: PlacedResult, { chosen }: Prepared): boolean {
  if (was.kind !== 'picture') return true;
  const { cut, rendition: r } = chosen.get(was.id)!;
  const { hash, density, appearance } = was.rendition;
  return was.cut === cut.cut && r.hash === hash && r.density === density && r.appearance === appearance;
}

const resultOf = (id: string, { result }: FoundCase) => result.layers.find((l) => l.id === id);

export function keptGround(id: string, kept: KeptCase | null): GroundResult | null {
  const was = kept?.same.has(id) ? resultOf(id, kept) : undefined;
  return was?.kind === 'ground' ? was : null;
}

/** A layer as it was drawn and measured before, if its rule is the same and what it is drawn from; else `null`. */
export function keptLayer(layer: PlacedLayer, kept: KeptCase, prepared: Prepared): PlacedResult | null {
  if (!kept.same.has(layer.id)) return null;
  const was = resultOf(layer.id, kept);
  if (!was || was.kind === 'ground') return null;
  if (kept.unmoved.has(layer.id)) return was;
  return leansOnMiddle(layer) || !hasSameFile(was, prepared) ? null : was;
}

/** Whether a layer lies where it lay. @param box where it is now @param window what ends its view now */
export const liesAsBefore = (was: PlacedResult, box: Rect, window: Rect): boolean =>
  sameRect(was.box, box) && sameRect(was.window, window);

/** Where a case looks different from before: what was, or is, seen of a layer, by its place in the drawing order. */
export interface RedrawnPart {
  at: number;
  rect: Rect;
}

const seenOf = (layer: LayerResult): Rect | null =>
  layer.kind === 'ground' ? layer.box : visibleDrawing(layer.placement, layer.window);

/** `null` where other layers are drawn than before, or in another order. */
export function changesSince(
  { layers: were }: CaseResult,
  layers: readonly LayerResult[],
): RedrawnPart[] | null {
  if (were.length !== layers.length) return null;
  const changes: RedrawnPart[] = [];
  for (let at = 0; at < layers.length; at++) {
    const was = were[at]!;
    const is = layers[at]!;
    if (was === is) continue;
    if (was.id !== is.id) return null;
    const before = seenOf(was);
    const now = seenOf(is);
    if (before) changes.push({ at, rect: before });
    if (now && !(before && sameRect(before, now))) changes.push({ at, rect: now });
  }
  return changes;
}
