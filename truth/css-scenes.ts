import type { AxisRule, Extent, Placing } from '../src/core/placing/rule';
import type { Cut, Picture, Rendition } from '../src/core/pictures/picture';
import { isPlaced, type Layer, type PanelLayer, type PlacedLayer, type Scene } from '../src/core/scene/scene';
import type { When } from '../src/core/scene/when';
import type { NamedValue } from '../src/core/values/values';
import { madeFile, type MadeFile } from './pictures';
import { randomOf, type Random } from './random';
import { fit, lu, percent, placing, zero } from './rules';
import { randomScene } from './scenes';

/** A random scene with everything that a page of CSS may have to say, for any screen. */
export interface PageScene {
  seed: number;
  scene: Scene;
  pictures: Picture[];
  named: NamedValue[];
  /** of each file, by its hash */
  files: ReadonlyMap<string, MadeFile>;
}

const NAMED: readonly NamedValue[] = [
  { id: 'gap', name: 'Gap', value: { value: 12, unit: 'lu' } },
  { id: 'hair', name: 'Hair line', value: { value: 5, unit: 'px' } },
  { id: 'fifth', name: 'A fifth', value: { value: 20, unit: '%' } },
  { id: 'also', name: 'Same gap', value: { named: 'gap' } },
  { id: 'deep', name: 'Deep water', value: { light: '#12303b', dark: '#9cc4d0' } },
];

/** Some of the plain lengths of a rule become named ones. */
function withNamed<T>(random: Random, rule: T): T {
  return JSON.parse(
    JSON.stringify(rule, (_, value: unknown) => {
      const isLength = typeof value === 'object' && value !== null && 'unit' in value && 'value' in value;
      return isLength && random.chance(0.08) ? { named: random.pick(['gap', 'hair', 'also']) } : value;
    }),
  ) as T;
}

const isDrawnByText = (l: Layer) => l.kind === 'text';

function whenOf(random: Random, layer: PlacedLayer, others: readonly string[]): When {
  const from = random.whole(300, 700);
  const when: When = random.pick([
    { orientation: 'landscape' },
    { orientation: 'portrait', minWidth: from },
    { minWidth: from, maxWidth: from + random.whole(0, 400) },
    { maxWidth: from },
  ]);
  const around = { before: [...others], inPanel: layer.parent !== undefined };
  if (!isDrawnByText(layer) && random.chance(0.7))
    when.placing = placing(random, layer.kind === 'picture', around, 2);
  if (layer.kind === 'picture' && random.chance(0.4)) when.fit = fit(random, layer.role !== 'logo');
  if (random.chance(0.2)) when.visible = !layer.visible;
  return when;
}

/** Layers before one in the list and with the same holder: those that the rules of a layer may be measured from. */
const before = (layers: readonly Layer[], layer: PlacedLayer) =>
  layers
    .slice(0, layers.indexOf(layer))
    .filter((l): l is PlacedLayer => isPlaced(l) && l.parent === layer.parent && l.id !== 'back')
    .map((l) => l.id);

/** A panel that goes around pictures or texts one below the other. */
function hugging(random: Random, pictures: readonly Picture[]): Layer[] {
  const side = { region: 'parent', offset: zero } as const;
  const hug = (): AxisRule => ({
    kind: 'middle',
    region: random.pick(['safe', 'screen', 'margins']),
    shift: random.chance(0.3) ? percent(random.whole(-10, 10)) : zero,
    extent: { kind: 'hug', ...(random.chance(0.3) && { max: { length: lu(300) } }) },
  });
  const pad = () => lu(random.whole(0, 20));
  const isWide = random.chance(0.4);
  const panel: PanelLayer = {
    id: 'card',
    name: 'Card',
    kind: 'panel',
    role: 'other',
    visible: true,
    colour: { named: 'deep' },
    cornerRadius: random.chance(0.5) ? lu(12) : percent(20),
    padding: { left: pad(), right: pad(), top: pad(), bottom: pad() },
    clip: random.chance(0.4),
    placing: {
      x: isWide
        ? hug()
        : ({ ...hug(), extent: { kind: 'length', length: lu(random.whole(160, 300)) } } as AxisRule),
      y: hug(),
    },
  };
  const inside: Layer[] = [];
  const count = random.whole(1, 3);
  for (let i = 0; i < count; i++) {
    const y = (extent: Extent): AxisRule => ({
      kind: 'start',
      edge:
        i === 0
          ? { region: 'parent', offset: lu(random.whole(0, 8)) }
          : { region: `layer:in-${i - 1}`, side: 'end', offset: lu(random.whole(0, 14)) },
      extent,
    });
    const x = (extent: Extent): AxisRule =>
      isWide
        ? { kind: 'start', edge: { region: 'parent', offset: lu(random.whole(0, 20)) }, extent }
        : { kind: 'middle', region: 'parent', shift: zero, extent };
    const common = { id: `in-${i}`, name: `In ${i}`, parent: 'card', visible: random.chance(0.9) };
    if (random.chance(0.5)) {
      const p: Placing = {
        x: x({ kind: 'length', length: lu(random.whole(30, 140)) }),
        y: y({ kind: 'from-ratio' }),
        ratio: { value: 'own', strict: true },
      };
      inside.push({
        ...common,
        kind: 'picture',
        role: 'logo',
        picture: random.pick(pictures).id,
        placing: p,
        fit: fit(random, false),
      });
    } else {
      const across: AxisRule =
        isWide && random.chance(0.3)
          ? x({ kind: 'natural' })
          : isWide || random.chance(0.5)
            ? x({ kind: 'length', length: lu(random.whole(60, 140)) })
            : { kind: 'edges', start: side, end: side };
      inside.push({
        ...common,
        kind: 'text',
        role: 'text',
        placing: { x: across, y: y({ kind: 'natural' }) },
        text: random.pick(['Winter sailings', 'Boats leave at noon and again at six']),
        style: {
          font: 'sans',
          weight: 400,
          size: random.whole(11, 20),
          lineHeight: 1.4,
          colour: { light: '#ffffff' },
          align: { x: 'start', y: 'start' },
          ...(random.chance(0.2) && { maxLines: 2 }),
        },
      });
    }
  }
  return [panel, ...inside];
}

/** More files of a picture: other densities, a dark half, a cut for landscape. */
async function withFiles(random: Random, file: MadeFile, files: Map<string, MadeFile>): Promise<Picture> {
  const { picture } = file;
  const add = async (density: number, appearance: Rendition['appearance']): Promise<Rendition> => {
    const made = await madeFile(picture.id, 'photo', randomOf(random.whole(1, 1e6)));
    const own = made.picture.cuts[0]!.renditions[0]!;
    const hash = random
      .whole(1, 2 ** 31)
      .toString(16)
      .padStart(8, '0')
      .repeat(8);
    files.set(hash, { ...made, hash });
    return { ...own, hash, density, appearance };
  };
  const cut: Cut = picture.cuts[0]!;
  const cuts: Cut[] = [cut];
  if (random.chance(0.4)) {
    const base = cut.renditions[0]!.density;
    cut.renditions.push(await add(base * 2, 'light'));
    if (random.chance(0.5)) cut.renditions.push(await add(base * 3, 'light'));
  }
  if (random.chance(0.4)) cut.renditions.push(await add(2, 'dark'));
  if (random.chance(0.3))
    cuts.push({
      ...cut,
      cut: 'landscape',
      focalPoint: { x: 0.3, y: 0.6 },
      renditions: [await add(2, 'light')],
    });
  return { ...picture, cuts };
}

/** The scene of a seed: the same for the same seed. */
export async function pageScene(seed: number): Promise<PageScene> {
  const random = randomOf(seed + 7_000_000);
  const own = await randomScene(seed);
  const files = new Map(own.files.map((f) => [f.hash, f]));
  const pictures: Picture[] = [];
  for (const f of own.files) pictures.push(await withFiles(random, f, files));
  const layers = [...own.scene.layers];
  if (random.chance(0.5)) layers.push(...hugging(random, pictures));
  const decorated = layers.map((l) => {
    if (!isPlaced(l)) return l;
    const rules = { ...l, placing: isDrawnByText(l) ? l.placing : withNamed(random, l.placing) };
    const inCard = l.parent === 'card' || l.id === 'card';
    if (!inCard && random.chance(0.35))
      rules.when = [
        whenOf(random, l, before(layers, l)),
        ...(random.chance(0.3) ? [whenOf(random, l, before(layers, l))] : []),
      ];
    if (l.kind === 'text' && random.chance(0.2))
      return { ...rules, text: l.text, style: { ...l.style, maxLines: random.whole(1, 2) } } as Layer;
    return rules as Layer;
  });
  const bars: Scene['bars'] = {
    status: { shown: random.chance(0.8) },
    title: { shown: random.chance(0.3), height: 56 },
    navigation: { shown: random.chance(0.8), style: random.pick(['gesture', 'buttons']) },
  };
  const scene: Scene = { ...own.scene, bars, layers: decorated };
  return { seed, scene, pictures, named: [...NAMED], files };
}
