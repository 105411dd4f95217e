import type { Extent } from '../src/core/placing/rule';
import type { Layer, PanelLayer, PictureLayer, Scene, TextLayer } from '../src/core/scene/scene';
import { madeFile, type Kind, type MadeFile } from './pictures';
import { randomOf, type Random } from './random';
import {
  colourOf,
  everywhere,
  fit,
  held,
  lu,
  none,
  paint,
  percent,
  placing,
  zero,
  type Around,
} from './rules';
import { heldScreen, type HeldScreen } from './screens';

/** A random scene on one screen, with the files that it shows. */
export interface RandomScene {
  seed: number;
  screen: HeldScreen;
  scene: Scene;
  files: MadeFile[];
  /** px of the screenshots per lu */
  scale: number;
}

const common = (id: string) => ({ id, name: id, visible: true });

/** Words of several scripts, and with places to break that are no spaces. */
const TEXTS = [
  'Winter sailings',
  'Ελλάδα AVATAR To 12:40',
  'sea-view and well-known half-day trips',
  'Паром: every day but one',
  'Boats leave at noon and again at six, every day of the week',
  'noon three—four',
];

function textLayer(random: Random, id: string, around: Around, density: number): TextLayer {
  const isNatural = random.chance(0.4);
  const width: Extent = isNatural
    ? { kind: 'natural' }
    : { kind: 'length', length: lu(random.tenth(60, around.inPanel ? 110 : 240)) };
  return {
    ...common(id),
    kind: 'text',
    role: 'text',
    placing: {
      x: held(random, width, around, density),
      y: held(random, { kind: 'natural' }, around, density),
    },
    text: random.pick(TEXTS),
    style: {
      font: random.pick(['sans', 'serif']),
      weight: random.pick([400, 700]),
      size: random.tenth(11, 30),
      lineHeight: random.pick([1.2, 1.35, 1.6]),
      colour: colourOf(random, random.chance(0.8) ? 1 : 0.8),
      align: { x: random.pick(['start', 'middle', 'end']), y: 'start' },
    },
  };
}

function pictureLayer(
  random: Random,
  id: string,
  file: MadeFile,
  role: 'background' | 'logo' | 'other',
  around: Around,
  density: number,
): PictureLayer {
  const own = fit(random, role !== 'logo');
  const tinted = own.clip && random.chance(role === 'logo' ? 0.35 : 0.05);
  return {
    ...common(id),
    kind: 'picture',
    role,
    picture: file.picture.id,
    placing:
      role === 'background' && random.chance(0.6) ? everywhere : placing(random, true, around, density),
    fit: own,
    ...(random.chance(0.35) && { opacity: random.tenth(0.2, 1) }),
    ...(tinted && { tint: colourOf(random, random.chance(0.8) ? 1 : 0.6) }),
  };
}

function panelLayer(random: Random, id: string, around: Around, density: number): PanelLayer {
  const pad = () => (random.chance(0.2) ? percent(random.whole(0, 4)) : lu(random.whole(0, 16)));
  return {
    ...common(id),
    kind: 'panel',
    role: 'other',
    placing: around.inPanel
      ? placing(random, false, around, density)
      : {
          x: held(random, { kind: 'length', length: percent(random.whole(40, 90)) }, around, density),
          y: held(random, { kind: 'length', length: percent(random.whole(25, 60)) }, around, density),
        },
    colour: paint(random, random.pick([1, 1, 0.7, 0.3])),
    cornerRadius: random.chance(0.6) ? lu(random.whole(2, 120)) : zero,
    padding: { left: pad(), right: pad(), top: pad(), bottom: pad() },
    clip: random.chance(0.5),
    ...(random.chance(0.5) && { opacity: random.tenth(0.2, 1) }),
  };
}

/** Layers of one holder, one after another; each may be measured from those before it. */
function layersOf(random: Random, files: MadeFile[], density: number): Layer[] {
  const byKind = (kind: Kind) => files.find((f) => f.picture.id.startsWith(kind))!;
  const layers: Layer[] = [
    {
      ...common('ground'),
      kind: 'ground',
      role: 'background',
      colour: random.chance(0.9) ? paint(random, 1) : { light: '#ffffff80' },
    },
    pictureLayer(random, 'back', byKind('photo'), 'background', { before: [], inPanel: false }, density),
  ];
  const outside: string[] = [];
  const inside: string[] = [];
  const add = (make: (id: string, around: Around) => Layer, id: string, parent?: string) => {
    const before = parent ? inside : outside;
    const layer = make(id, { before: [...before], inPanel: parent !== undefined });
    layers.push(parent ? ({ ...layer, parent } as Layer) : layer);
    before.push(id);
  };
  const logo = (id: string, around: Around) =>
    pictureLayer(random, id, random.chance(0.3) ? byKind('badge') : byKind('mark'), 'logo', around, density);
  const words = (id: string, around: Around) => textLayer(random, id, around, density);
  const panel = (id: string, around: Around) => panelLayer(random, id, around, density);
  if (random.chance(0.7)) add(logo, 'logo');
  if (random.chance(0.7)) {
    add(panel, 'panel');
    if (random.chance(0.5))
      add(
        (id, around) => pictureLayer(random, id, byKind('photo'), 'other', around, density),
        'held',
        'panel',
      );
    if (random.chance(0.5)) add(panel, 'inner', 'panel');
    if (random.chance(0.5)) add(logo, 'held-logo', 'panel');
    if (random.chance(0.7)) add(words, 'held-words', 'panel');
  }
  if (random.chance(0.8)) add(words, 'words');
  return layers;
}

/** The scene of a seed: the same for the same seed. */
export async function randomScene(seed: number): Promise<RandomScene> {
  const random = randomOf(seed);
  const screen = heldScreen(random);
  const files = await Promise.all(
    (['photo', 'mark', 'badge'] as const).map((kind, i) => madeFile(kind, kind, randomOf(seed * 31 + i))),
  );
  const margin = () => (random.chance(0.3) ? percent(random.whole(0, 6)) : lu(random.whole(0, 24)));
  const scene: Scene = {
    id: 'scene',
    name: 'Scene',
    role: 'splash',
    bars: {
      status: { shown: true },
      title: { shown: random.chance(0.3), height: 56 },
      navigation: { shown: true, style: 'gesture' },
    },
    margin: random.chance(0.6) ? { left: margin(), right: margin(), top: margin(), bottom: margin() } : none,
    ...(random.chance(0.2) && { direction: 'rtl' as const }),
    layers: layersOf(random, files, screen.density),
  };
  const scale = random.pick([1, 1, 1, 1.5, 2]);
  return { seed, screen, scene, files, scale };
}
