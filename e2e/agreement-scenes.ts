import type { Fit, FitSize, Repeat } from '../src/core/fit/rule';
import { fillScreen } from '../src/core/placing/presets';
import type { AxisRule, Extent } from '../src/core/placing/rule';
import type { Documents } from '../src/core/project/documents';
import type { Layer, PictureLayer, Scene } from '../src/core/scene/scene';
import type { ProjectFont, TextStyle } from '../src/core/text/style';
import { lu, percent } from '../src/core/values/values';

export const AGREEMENT_PROJECT = 'agreement';

/** A way of drawing as a rule of the product, and the same written by hand in CSS. */
export interface Way {
  id: string;
  size: FitSize;
  repeat: Repeat | { x: Repeat; y: Repeat };
  /** `background-size` for a picture of `natural` lu drawn at `k` px per lu */
  css: (k: number) => string;
}

export const NATURAL = { width: 800, height: 600 };
export const GROUND = '#12303b';
/** held at, in % */
export const HELD = { x: 30, y: 80 };

const natural = (k: number) => `${NATURAL.width * k}px ${NATURAL.height * k}px`;

export const WAYS: Way[] = [
  { id: 'cover', size: 'cover', repeat: 'no-repeat', css: () => 'cover' },
  { id: 'contain', size: 'contain', repeat: 'no-repeat', css: () => 'contain' },
  { id: 'stretch', size: 'stretch', repeat: 'no-repeat', css: () => '100% 100%' },
  { id: 'natural', size: 'natural', repeat: 'no-repeat', css: natural },
  { id: 'match-width', size: 'match-width', repeat: 'no-repeat', css: () => '100% auto' },
  { id: 'match-height', size: 'match-height', repeat: 'no-repeat', css: () => 'auto 100%' },
  { id: 'scale-down', size: 'scale-down', repeat: 'no-repeat', css: () => 'contain' },
  {
    id: 'explicit',
    size: { width: percent(60), height: lu(200) },
    repeat: 'no-repeat',
    css: (k) => `60% ${200 * k}px`,
  },
  { id: 'tile', size: 'natural', repeat: 'repeat', css: natural },
  { id: 'repeat', size: { width: percent(35), height: 'auto' }, repeat: 'repeat', css: () => '35% auto' },
  { id: 'space', size: { width: percent(35), height: 'auto' }, repeat: 'space', css: () => '35% auto' },
  { id: 'round', size: { width: percent(35), height: 'auto' }, repeat: 'round', css: () => '35% auto' },
  {
    id: 'repeat-across',
    size: { width: percent(35), height: 'auto' },
    repeat: { x: 'repeat', y: 'no-repeat' },
    css: () => '35% auto',
  },
];

const fit = ({ size, repeat }: Way): Fit => ({
  size,
  repeat: typeof repeat === 'string' ? { x: repeat, y: repeat } : repeat,
  align: {
    kind: 'position',
    x: { percent: HELD.x, offset: lu(0) },
    y: { percent: HELD.y, offset: lu(0) },
  },
  clip: true,
  cornerRadius: lu(0),
});

const zero = lu(0);
const margin = { left: zero, right: zero, top: zero, bottom: zero };
/** CSS alone has no bars to draw. */
const bars = {
  status: { shown: false },
  title: { shown: false, height: 56 },
  navigation: { shown: false, style: 'gesture' as const },
};

const middle = (extent: Extent): AxisRule => ({ kind: 'middle', region: 'screen', shift: zero, extent });
const share = (value: number): Extent => ({ kind: 'length', length: percent(value) });

const text = (id: string, words: string, style: Partial<TextStyle>): Layer => ({
  kind: 'text',
  id,
  name: id,
  role: 'text',
  visible: true,
  placing: { x: middle({ kind: 'natural', max: { length: percent(80) } }), y: middle({ kind: 'natural' }) },
  text: words,
  style: {
    font: 'sans',
    weight: 400,
    size: 28,
    lineHeight: 1.3,
    colour: { light: '#ffffff' },
    align: { x: 'middle', y: 'start' },
    ...style,
  },
});

const ground: Layer = {
  kind: 'ground',
  id: 'ground',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour: { light: GROUND },
};

/** One scene for each face and script: nothing but a text on a ground. @param arabic an imported font */
const lettersIn = (arabic: ProjectFont): Record<LetterScene, Layer> => ({
  'letters-sans': text('words', 'Winter timetable AVATAR To 12:40', { size: 32 }),
  'letters-serif': text('words', 'Ελλάδα και Паром: office', { font: 'serif', weight: 700 }),
  'letters-short': text('words', 'A rather long line that has to end somewhere', { maxLines: 1, size: 40 }),
  'letters-arabic': text('words', 'سلام (Larkmoor) 12:40 في الشتاء', {
    font: `font:${arabic.hash}`,
    size: 36,
  }),
  'letters-boxes': text('words', 'Ferry 🚢 港 well-known', { size: 34 }),
});
export const LETTERS = [
  'letters-sans',
  'letters-serif',
  'letters-short',
  'letters-arabic',
  'letters-boxes',
] as const;
type LetterScene = (typeof LETTERS)[number];

/** Gradients, a see-through panel that holds a tinted picture, rounded corners. */
const blend: Layer[] = [
  {
    ...ground,
    colour: {
      gradient: 'linear',
      angle: 160,
      stops: [
        { colour: { light: GROUND, dark: '#06141b' }, at: 10 },
        { colour: { light: '#e6b98a' }, at: 90 },
      ],
    },
  } as Layer,
  {
    kind: 'panel',
    id: 'panel',
    name: 'Panel',
    role: 'other',
    visible: true,
    opacity: 0.7,
    placing: { x: middle(share(80)), y: middle(share(60)) },
    colour: {
      gradient: 'radial',
      centre: { x: 30, y: 30 },
      stops: [
        { colour: { light: '#ffffff' }, at: 0 },
        { colour: { light: '#6557a680' }, at: 100 },
      ],
    },
    cornerRadius: lu(24),
    padding: { left: zero, right: zero, top: zero, bottom: zero },
    clip: true,
  },
  {
    kind: 'picture',
    id: 'emblem',
    name: 'Emblem',
    role: 'logo',
    visible: true,
    parent: 'panel',
    picture: 'emblem',
    placing: {
      x: middle(share(60)),
      y: middle({ kind: 'from-ratio' }),
      ratio: { value: 'own', strict: true },
    },
    fit: { ...fit(WAYS[1]!), clip: false },
    tint: { light: '#ae3527' },
  },
];

const picture = (id: string, layer: Partial<PictureLayer>): Layer => ({
  kind: 'picture',
  id,
  name: id,
  role: 'other',
  visible: true,
  picture: 'harbour',
  placing: { x: middle(share(70)), y: middle(share(30)) },
  fit: fit(WAYS[0]!),
  ...layer,
});
const faint = (from: string, to: string, angle: number): Layer => ({
  ...ground,
  id: `faint-${angle}`,
  colour: {
    gradient: 'linear',
    angle,
    stops: [
      { colour: { light: from }, at: 0 },
      { colour: { light: to }, at: 100 },
    ],
  },
});

/** What two surfaces may each do in their own way: alpha in gradients, corners, single copies, groups in groups. */
const PAINTED: Record<string, Layer[]> = {
  blend,
  'gradients-of-alpha': [ground, faint('#ffffff', '#00000000', 90), faint('#ae352700', '#0e6a78', 0)],
  'corners-over-half': [ground, picture('pill', { fit: { ...fit(WAYS[0]!), cornerRadius: lu(400) } })],
  'one-copy-with-space': [
    ground,
    picture('copy', {
      picture: 'emblem',
      fit: {
        ...fit({ id: 'one', size: { width: percent(60), height: 'auto' }, repeat: 'space', css: () => '' }),
        clip: false,
        cornerRadius: lu(40),
      },
    }),
  ],
  'groups-in-groups': [
    ground,
    { ...blend[1]!, id: 'outer', opacity: 0.5, colour: { light: '#ffffff' } } as Layer,
    {
      ...blend[1]!,
      id: 'inner',
      parent: 'outer',
      opacity: 0.6,
      colour: { light: '#101418' },
      placing: { x: middle(share(40)), y: middle(share(30)) },
    } as Layer,
    picture('held', { parent: 'inner', placing: { x: middle(share(60)), y: middle(share(20)) } }),
  ],
  'opaque-picture-tinted': [ground, picture('badge', { tint: { light: '#e6b98a' } })],
};
export const PAINTED_SCENES = Object.keys(PAINTED);

const scene = (id: string, layers: Layer[]): Scene => ({
  id,
  name: id,
  role: 'splash',
  bars,
  margin,
  layers,
});

/** A project with one scene for each way of the demo’s harbour, and for what else is drawn. */
export function agreementDocuments({ project }: Documents, arabic: ProjectFont): Documents {
  const scenes = [
    ...WAYS.map((way) =>
      scene(way.id, [
        ground,
        {
          kind: 'picture',
          id: 'harbour',
          name: 'Harbour',
          role: 'background',
          visible: true,
          picture: 'harbour',
          placing: fillScreen(),
          fit: fit(way),
        },
      ]),
    ),
    ...Object.entries(lettersIn(arabic)).map(([id, layer]) => scene(id, [ground, layer])),
    ...Object.entries(PAINTED).map(([id, layers]) => scene(id, layers)),
  ];
  return {
    project: {
      ...project,
      id: AGREEMENT_PROJECT,
      name: 'Agreement',
      launches: [],
      fonts: [arabic],
      scenes: scenes.map((s) => s.id),
    },
    scenes: Object.fromEntries(scenes.map((s) => [s.id, s])),
  };
}
