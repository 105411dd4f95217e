import type { Fit, FitSize, Repeat } from '../src/core/fit/rule';
import { fillScreen } from '../src/core/placing/presets';
import type { Documents } from '../src/core/scene/documents';
import type { Scene } from '../src/core/scene/scene';
import { lu, percent } from '../src/core/scene/values';

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

/** A project with one scene for each way, all of the demo’s harbour. */
export function agreementDocuments({ project }: Documents): Documents {
  const scenes = WAYS.map((way): Scene => ({
    id: way.id,
    name: way.id,
    role: 'splash',
    bars: {
      status: { shown: true },
      title: { shown: false, height: 56 },
      navigation: { shown: true, style: 'gesture' },
    },
    margin: { left: zero, right: zero, top: zero, bottom: zero },
    layers: [
      {
        kind: 'ground',
        id: 'ground',
        name: 'Ground',
        role: 'background',
        visible: true,
        colour: { light: GROUND },
      },
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
    ],
  }));
  return {
    project: { ...project, id: AGREEMENT_PROJECT, name: 'Agreement', scenes: scenes.map((s) => s.id) },
    scenes: Object.fromEntries(scenes.map((s) => [s.id, s])),
  };
}
