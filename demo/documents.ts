import { DEFAULT_LIMITS } from '../src/core/measure/defaults';
import type { Documents } from '../src/core/project/documents';
import { fillScreen } from '../src/core/placing/presets';
import type { Cut, Picture, Rendition } from '../src/core/pictures/picture';
import { SCHEMA_VERSION } from '../src/core/project/project';
import type { Scene } from '../src/core/scene/scene';
import { percent, type Appearance } from '../src/core/values/values';
import {
  bars,
  emblem,
  fit,
  ground,
  held,
  inTheMiddle,
  margin,
  ownShape,
  shareOfWidth,
  wordmark,
} from './rules';
import { launch } from './launch';
import { accepted, mendedSplash } from './mended';
import { notice } from './notice';
import { signIn } from './sign-in';

/** A drawing of `demo/` that becomes a file of a picture when the demo is seeded. */
export interface DemoFile {
  svg: string;
  widthPx: number;
  density: number;
  appearance: Appearance;
}

export interface DemoPicture {
  id: string;
  name: string;
  /** width ÷ height of its drawings */
  shape: number;
  focalPoint: { x: number; y: number };
  keepAreas: {
    subject: string;
    rect: { x: number; y: number; width: number; height: number };
    weight: number;
  }[];
  files: DemoFile[];
  /** whether it is a cut of another picture, and none by itself */
  isCut?: true;
}

const both = (dawn: string, night: string, widthPx: number, density: number): DemoFile[] => [
  { svg: dawn, widthPx, density, appearance: 'light' },
  { svg: night, widthPx, density, appearance: 'dark' },
];
const middle = { x: 0.5, y: 0.5 };
const seaSubjects: DemoPicture['keepAreas'] = [
  { subject: 'Lighthouse', rect: { x: 0.12, y: 0.29, width: 0.1, height: 0.34 }, weight: 1 },
  { subject: 'Ferry', rect: { x: 0.67, y: 0.56, width: 0.22, height: 0.17 }, weight: 1 },
];

export const demoPictures: DemoPicture[] = [
  {
    id: 'harbour',
    name: 'Harbour',
    shape: 4 / 3,
    focalPoint: { x: 0.55, y: 0.55 },
    keepAreas: seaSubjects,
    files: both('harbour-dawn.svg', 'harbour-night.svg', 2400, 3),
  },
  {
    id: 'harbour-upright',
    name: 'Harbour, upright cut',
    shape: 1 / 2,
    focalPoint: { x: 0.45, y: 0.55 },
    keepAreas: [
      { subject: 'Lighthouse', rect: { x: 0.31, y: 0.33, width: 0.12, height: 0.24 }, weight: 1 },
      { subject: 'Ferry', rect: { x: 0.325, y: 0.6, width: 0.42, height: 0.115 }, weight: 1 },
    ],
    files: both('harbour-upright-dawn.svg', 'harbour-upright-night.svg', 1800, 4.5),
  },
  {
    id: 'emblem',
    name: 'Emblem',
    shape: 1,
    focalPoint: middle,
    keepAreas: [],
    // One density is missing, and the smallest file was made to a round number.
    files: [
      { svg: 'emblem.svg', widthPx: 250, density: 1, appearance: 'light' },
      { svg: 'emblem.svg', widthPx: 512, density: 2, appearance: 'light' },
      { svg: 'emblem.svg', widthPx: 1024, density: 4, appearance: 'light' },
    ],
  },
  {
    id: 'wordmark',
    name: 'Wordmark',
    shape: 4,
    focalPoint: middle,
    keepAreas: [],
    files: [{ svg: 'wordmark.svg', widthPx: 1200, density: 4, appearance: 'light' }],
  },
  {
    id: 'rope',
    name: 'Rope',
    shape: 1,
    focalPoint: middle,
    keepAreas: [],
    files: [1, 2, 3, 4].map((density) => ({
      svg: 'rope.svg',
      widthPx: 48 * density,
      density,
      appearance: 'light' as const,
    })),
  },
  {
    id: 'deck',
    name: 'Deck photo',
    shape: 4 / 3,
    focalPoint: { x: 0.7, y: 0.5 },
    keepAreas: [],
    files: [{ svg: 'deck-photo.svg', widthPx: 640, density: 1, appearance: 'light' }],
  },
  // What mends the others: files with more pixels, and a composition for tall screens.
  {
    id: 'harbour-large',
    name: 'Harbour, large',
    shape: 4 / 3,
    focalPoint: { x: 0.55, y: 0.55 },
    keepAreas: [],
    files: both('harbour-dawn.svg', 'harbour-night.svg', 3600, 4.5),
  },
  // With more sky, so that both subjects are seen in a square as well.
  {
    id: 'harbour-tall',
    name: 'Harbour, with more sky',
    shape: 2400 / 1860,
    focalPoint: { x: 0.55, y: 0.55 },
    keepAreas: seaSubjects.map(({ rect, ...subject }) => ({
      ...subject,
      rect: { ...rect, y: (rect.y * 1800 + 60) / 1860, height: (rect.height * 1800) / 1860 },
    })),
    files: both('harbour-tall-dawn.svg', 'harbour-tall-night.svg', 3600, 4.5),
    isCut: true,
  },
  {
    id: 'emblem-trimmed',
    name: 'Trimmed emblem',
    shape: 1,
    focalPoint: middle,
    keepAreas: [],
    files: [1, 2, 3, 4].map((density) => ({
      svg: 'emblem-trimmed.svg',
      widthPx: 384 * density,
      density,
      appearance: 'light' as const,
    })),
  },
  {
    id: 'deck-large',
    name: 'Deck photo, large',
    shape: 4 / 3,
    focalPoint: { x: 0.7, y: 0.5 },
    keepAreas: [],
    files: [{ svg: 'deck-photo.svg', widthPx: 3600, density: 4.5, appearance: 'light' }],
  },
  {
    id: 'deck-upright',
    name: 'Deck photo, upright cut',
    shape: 1 / 2,
    focalPoint: middle,
    keepAreas: [],
    files: [{ svg: 'deck-photo-upright.svg', widthPx: 1800, density: 4.5, appearance: 'light' }],
  },
];

const winterSplash: Scene = {
  id: 'winter-splash',
  name: 'Winter splash',
  role: 'splash',
  bars,
  margin,
  layers: [
    ground({ named: 'deep-water' }),
    {
      kind: 'picture',
      id: 'harbour',
      name: 'Harbour',
      role: 'background',
      visible: true,
      picture: 'harbour',
      placing: fillScreen(),
      fit: fit('cover', held(62, 55)),
    },
    emblem({
      x: shareOfWidth(38, 220),
      y: { kind: 'middle', region: 'safe', shift: percent(-6), extent: { kind: 'from-ratio' } },
      ratio: ownShape,
    }),
    wordmark(shareOfWidth(52, 280)),
  ],
};

const systemWindow: Scene = {
  id: 'system-window',
  name: 'System window',
  role: 'first-window',
  bars,
  margin,
  layers: [ground({ light: '#ffffff' }), emblem({ x: inTheMiddle, y: inTheMiddle })],
};

/** The scene that shows most of what goes wrong. */
export const DEMO_SCENE = 'winter-splash';
export const DEMO_PROJECT = 'larkmoor-ferries';

/** The demo's documents. @param renditionsOf the files that were kept for each picture */
export function demoDocuments(renditionsOf: (id: string) => Rendition[]): Documents {
  const cutOf = (of: DemoPicture, cut: Cut['cut'] = 'any'): Cut => ({
    cut,
    renditions: renditionsOf(of.id),
    keepAreas: of.keepAreas,
    focalPoint: of.focalPoint,
  });
  const picture = (id: string) => demoPictures.find((p) => p.id === id)!;
  const pictures: Picture[] = [
    ...demoPictures.filter((p) => !p.isCut).map((p) => ({ id: p.id, name: p.name, cuts: [cutOf(p)] })),
    {
      id: 'harbour-cuts',
      name: 'Harbour, two cuts',
      cuts: [cutOf(picture('harbour-tall')), cutOf(picture('harbour-upright'), 'portrait')],
    },
  ];
  const scenes = [systemWindow, winterSplash, mendedSplash, signIn, notice];
  return {
    project: {
      id: DEMO_PROJECT,
      schema: SCHEMA_VERSION,
      name: 'Larkmoor Ferries',
      pictures,
      named: [
        { id: 'deep-water', name: 'deep water', value: { light: '#12303b', dark: '#06141b' } },
        { id: 'gap', name: 'gap', value: { value: 20, unit: 'lu' } },
      ],
      screens: [],
      limits: [...DEFAULT_LIMITS],
      scenes: scenes.map((s) => s.id),
      launches: [launch],
      accepted,
    },
    scenes: Object.fromEntries(scenes.map((s) => [s.id, s])),
  };
}
