import { FIT_LABELS, FIT_PRESETS, withPreset } from '../fit/presets';
import { sayShare } from '../words/numbers';
import { mapMeasured } from '../placing/measured';
import type { AxisRule, Placing, Region } from '../placing/rule';
import type { Documents } from '../project/documents';
import { diff, type Patch } from '../patch/patch';
import { presetOfAll, withFits, withPlacings } from '../scene/rules';
import { isPlaced, type PlacedLayer } from '../scene/scene';
import { lu, percent } from '../values/values';

/** Parts of a rule of which several values can be compared. */
export const COMPARED = ['fit', 'position', 'size', 'region', 'picture'] as const;
export type Compared = (typeof COMPARED)[number];

/** One of several values of a part of a rule, as a patch over all documents; an empty one is in use. */
export interface Variant {
  label: string;
  patch: Patch;
  /** which of the values that can be chosen it has; absent of others */
  chosen?: number;
}

/** The values that are compared with the one in use, where they can be chosen: up to three of each. */
export interface ComparedValues {
  /** where a picture is held, % of the free way */
  position: readonly { x: number; y: number }[];
  /** % of the safe area along the axis that has an extent of its own */
  size: readonly number[];
  /** ids of pictures */
  picture: readonly string[];
}

const MOST_CHOSEN = 3;
const AS_IT_IS = 'as it is';

interface Change {
  label: string;
  layer: PlacedLayer;
  chosen?: number;
}

function fits(layer: PlacedLayer): Change[] {
  if (layer.kind !== 'picture') return [];
  const inUse = presetOfAll(layer);
  const presets = FIT_PRESETS.map((p) => ({
    label: FIT_LABELS[p],
    layer: p === inUse ? layer : withFits(layer, (fit) => withPreset(fit, p)),
  }));
  return inUse ? presets : [{ label: AS_IT_IS, layer }, ...presets];
}

function positions(layer: PlacedLayer, { position }: ComparedValues): Change[] {
  if (layer.kind !== 'picture') return [];
  const along = (share: number) => ({ percent: share, offset: lu(0) });
  const at = ({ x, y }: { x: number; y: number }, chosen: number): Change => ({
    label: `held ${sayShare(x / 100)} across, ${sayShare(y / 100)} down`,
    layer: withFits(layer, (fit) => ({ ...fit, align: { kind: 'position', x: along(x), y: along(y) } })),
    chosen,
  });
  return [{ label: AS_IT_IS, layer }, ...position.map(at)];
}

/** The axis whose extent is a length of its own. */
function sized(placing: Placing): { axis: 'x' | 'y'; rule: Exclude<AxisRule, { kind: 'edges' }> } | null {
  for (const axis of ['x', 'y'] as const) {
    const rule = placing[axis];
    if (rule.kind !== 'edges' && rule.extent.kind === 'length') return { axis, rule };
  }
  return null;
}

/** With another share of the safe area, along the axis that has an extent of its own. */
function resized(placing: Placing, share: number): Placing {
  const found = sized(placing);
  if (!found) return placing;
  const { axis, rule } = found;
  const extent = { ...rule.extent, kind: 'length' as const, length: percent(share), of: 'safe' as const };
  return { ...placing, [axis]: { ...rule, extent } };
}

function sizes(layer: PlacedLayer, { size }: ComparedValues): Change[] {
  const found = sized(layer.placing);
  if (!found) return [];
  const share = (value: number, chosen: number): Change => ({
    label: `${sayShare(value / 100)} of the safe area’s ${found.axis === 'x' ? 'width' : 'height'}`,
    layer: withPlacings(layer, (placing) => resized(placing, value)),
    chosen,
  });
  return [{ label: AS_IT_IS, layer }, ...size.map(share)];
}

const REGIONS = [
  ['screen', 'the whole screen'],
  ['safe', 'the safe area'],
  ['content', 'the content area'],
] as const satisfies readonly (readonly [Region, string])[];

/** Whatever is measured from a region of the screen, from another one. */
function measuredFrom(placing: Placing, region: Region): Placing {
  const isOfScreen = (r: Region) => REGIONS.some(([name]) => name === r) || r === 'margins';
  const along = (rule: AxisRule) =>
    mapMeasured(
      rule,
      (e) => (isOfScreen(e.region) ? { ...e, region } : e),
      (r) => (isOfScreen(r) ? region : r),
    );
  return { ...placing, x: along(placing.x), y: along(placing.y) };
}

const regions = (layer: PlacedLayer): Change[] => [
  { label: AS_IT_IS, layer },
  ...REGIONS.map(([region, word]): Change => ({
    label: `from ${word}`,
    layer: withPlacings(layer, (placing) => measuredFrom(placing, region)),
  })),
];

function pictures(layer: PlacedLayer, { picture }: ComparedValues, { project }: Documents): Change[] {
  if (layer.kind !== 'picture') return [];
  const nameOf = (id: string) => project.pictures.find((p) => p.id === id)?.name ?? AS_IT_IS;
  return [
    { label: nameOf(layer.picture), layer },
    ...picture.map((id, chosen): Change => ({ label: nameOf(id), layer: { ...layer, picture: id }, chosen })),
  ];
}

/** The values that a layer is compared with as long as nobody has chosen others. */
export function usualValues(layer: PlacedLayer, { project }: Documents): ComparedValues {
  const align = layer.kind === 'picture' && layer.fit.align.kind === 'position' ? layer.fit.align : null;
  const y = align?.y.percent ?? 50;
  const own = sized(layer.placing)?.rule.extent;
  const now = own?.kind === 'length' && own.of === 'safe' && 'unit' in own.length ? own.length.value : null;
  const shown = layer.kind === 'picture' ? layer.picture : null;
  return {
    position: [0, 50, 100, 25]
      .filter((x) => x !== align?.x.percent)
      .slice(0, MOST_CHOSEN)
      .map((x) => ({ x, y })),
    size: [25, 40, 60, 30].filter((s) => s !== now).slice(0, MOST_CHOSEN),
    picture: project.pictures
      .map((p) => p.id)
      .filter((id) => id !== shown)
      .slice(0, MOST_CHOSEN),
  };
}

const MAKERS: Record<
  Compared,
  (layer: PlacedLayer, values: ComparedValues, documents: Documents) => Change[]
> = {
  fit: fits,
  position: positions,
  size: sizes,
  region: regions,
  picture: pictures,
};

/**
 * Values of a part of a layer’s rule, side by side; none where the layer has no such part.
 * @param values to compare with; without them the usual ones
 */
export function variantsOf(
  documents: Documents,
  sceneId: string,
  layerId: string,
  part: Compared,
  values?: ComparedValues,
): Variant[] {
  const scene = documents.scenes[sceneId];
  const layer = scene?.layers.find((l) => l.id === layerId);
  if (!scene || !layer || !isPlaced(layer)) return [];
  const changes = MAKERS[part](layer, values ?? usualValues(layer, documents), documents);
  const variants = changes.map(({ label, layer: changed, chosen }): Variant => {
    const layers = scene.layers.map((l) => (l === layer ? changed : l));
    const after = { ...documents, scenes: { ...documents.scenes, [sceneId]: { ...scene, layers } } };
    return { label, patch: diff(documents, after), chosen };
  });
  // What is in use already is not shown twice, unless somebody has chosen it.
  const first = variants.findIndex((v) => v.patch.length === 0);
  return variants.filter((v, i) => v.patch.length > 0 || i === first || v.chosen !== undefined);
}
