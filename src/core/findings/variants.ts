import { FIT_LABELS, FIT_PRESETS, presetOf, withPreset } from '../fit/presets';
import { sayShare } from '../formats/numbers';
import { mapMeasured } from '../placing/measured';
import type { AxisRule, Placing, Region } from '../placing/rule';
import type { Documents } from '../scene/documents';
import { diff, type Patch } from '../scene/patch';
import { isPlaced, type PlacedLayer } from '../scene/scene';
import { lu, percent } from '../scene/values';

/** Parts of a rule of which several values can be compared. */
export const COMPARED = ['fit', 'position', 'size', 'region', 'picture'] as const;
export type Compared = (typeof COMPARED)[number];

/** One of several values of a part of a rule, as a patch over all documents; an empty one is in use. */
export interface Variant {
  label: string;
  patch: Patch;
}

type Change = readonly [label: string, layer: PlacedLayer];

function fits(layer: PlacedLayer): Change[] {
  if (layer.kind !== 'picture') return [];
  return FIT_PRESETS.map((p) => [
    FIT_LABELS[p],
    p === presetOf(layer.fit) ? layer : { ...layer, fit: withPreset(layer.fit, p) },
  ]);
}

function positions(layer: PlacedLayer): Change[] {
  if (layer.kind !== 'picture') return [];
  const { align } = layer.fit;
  const y = align.kind === 'position' ? align.y : { percent: 50, offset: lu(0) };
  const at = (share: number): Change => [
    `held ${sayShare(share)} across`,
    {
      ...layer,
      fit: { ...layer.fit, align: { kind: 'position', x: { percent: share * 100, offset: lu(0) }, y } },
    },
  ];
  return [['as it is', layer], at(0), at(0.5), at(1)];
}

/** The axis whose extent is a length of its own. */
function sized(layer: PlacedLayer): { axis: 'x' | 'y'; rule: Exclude<AxisRule, { kind: 'edges' }> } | null {
  for (const axis of ['x', 'y'] as const) {
    const rule = layer.placing[axis];
    if (rule.kind !== 'edges' && rule.extent.kind === 'length') return { axis, rule };
  }
  return null;
}

function sizes(layer: PlacedLayer): Change[] {
  const found = sized(layer);
  if (!found) return [];
  const { axis, rule } = found;
  const share = (value: number): Change => [
    `${value} % of the safe area’s ${axis === 'x' ? 'width' : 'height'}`,
    {
      ...layer,
      placing: {
        ...layer.placing,
        [axis]: { ...rule, extent: { ...rule.extent, kind: 'length', length: percent(value), of: 'safe' } },
      },
    },
  ];
  return [['as it is', layer], share(25), share(40), share(60)];
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
  ['as it is', layer],
  ...REGIONS.map(([region, word]): Change => [
    `from ${word}`,
    { ...layer, placing: measuredFrom(layer.placing, region) },
  ]),
];

function pictures(layer: PlacedLayer, { project }: Documents): Change[] {
  if (layer.kind !== 'picture') return [];
  const others = project.pictures.filter((p) => p.id !== layer.picture).slice(0, 3);
  const own = project.pictures.find((p) => p.id === layer.picture);
  return [
    [own?.name ?? 'as it is', layer],
    ...others.map((p): Change => [p.name, { ...layer, picture: p.id }]),
  ];
}

const MAKERS: Record<Compared, (layer: PlacedLayer, documents: Documents) => Change[]> = {
  fit: fits,
  position: positions,
  size: sizes,
  region: regions,
  picture: pictures,
};

/** Values of a part of a layer’s rule, side by side; none where the layer has no such part. */
export function variantsOf(
  documents: Documents,
  sceneId: string,
  layerId: string,
  part: Compared,
): Variant[] {
  const scene = documents.scenes[sceneId];
  const layer = scene?.layers.find((l) => l.id === layerId);
  if (!scene || !layer || !isPlaced(layer)) return [];
  const variants = MAKERS[part](layer, documents).map(([label, changed]): Variant => {
    const layers = scene.layers.map((l) => (l === layer ? changed : l));
    const after = { ...documents, scenes: { ...documents.scenes, [sceneId]: { ...scene, layers } } };
    return { label, patch: diff(documents, after) };
  });
  // What is in use already is not shown twice.
  const first = variants.findIndex((v) => v.patch.length === 0);
  return variants.filter((v, i) => v.patch.length > 0 || i === first);
}
