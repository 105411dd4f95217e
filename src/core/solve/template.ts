import type { Fit } from '../fit/rule';
import { intersect, type Rect, type Size } from '../geometry/rect';
import type { Picture } from '../pictures/picture';
import { fillScreen } from '../placing/presets';
import type { Scene } from '../scene/scene';
import type { Case } from '../screens/cases';
import { distinctCases } from '../screens/likeness';
import { turn, turnedSize } from '../screens/turn';
import { surveyCase, type SurveyInput } from '../survey/survey';
import { lu } from '../values/values';
import { seenEverywhere } from './seen';

/** What a designer composes a background to, as shares of the canvas: 0..1 from its left and its top. */
export interface Template {
  /** lu of the canvas at its natural size */
  canvas: Size;
  /** px per lu with which no screen enlarges it */
  density: number;
  /** what every screen sees, and what lies in the safe area of every screen as well; `null` where there is no such part */
  seen: Rect | null;
  safe: Rect | null;
  /** what each screen sees, those that see the same once; together, what some screen sees */
  views: Rect[];
  /** what a cutout of some screen covers */
  cutouts: Rect[];
  /** screens as they are held */
  cases: number;
}

export interface TemplateAsked {
  /** of one appearance */
  cases: readonly Case[];
  fit: Fit;
  /** width ÷ height of the canvas; that of the smallest one when absent */
  ratio?: number;
}

const EMPTY = { left: lu(0), right: lu(0), top: lu(0), bottom: lu(0) };
const [LAYER, PICTURE] = ['canvas', 'canvas'];

/**
 * The smallest canvas that no screen enlarges when it covers it: as wide as the widest screen and as high as the highest, or, of a
 * given ratio, the smallest of that ratio which is both.
 */
export function smallestCanvas(cases: readonly Case[], ratio?: number): Size {
  const sizes = cases.map((c) => turnedSize(c.screen, c.rotation));
  const width = Math.max(1, ...sizes.map((s) => s.width));
  const height = Math.max(1, ...sizes.map((s) => s.height));
  if (ratio === undefined) return { width, height };
  const across = Math.max(width, height * ratio);
  return { width: across, height: across / ratio };
}

/** A scene of nothing but the canvas, over the whole screen. */
function inputOf(canvas: Size, density: number, fit: Fit): SurveyInput {
  const picture: Picture = {
    id: PICTURE,
    name: 'Canvas',
    cuts: [
      {
        cut: 'any',
        focalPoint: { x: 0.5, y: 0.5 },
        keepAreas: [],
        renditions: [
          {
            hash: '0'.repeat(64),
            widthPx: Math.ceil(canvas.width * density),
            heightPx: Math.ceil(canvas.height * density),
            density,
            appearance: 'light',
            vector: false,
          },
        ],
      },
    ],
  };
  const scene: Scene = {
    id: 'template',
    name: 'Template',
    role: 'screen',
    margin: EMPTY,
    bars: {
      status: { shown: true },
      title: { shown: false, height: 0 },
      navigation: { shown: true, style: 'gesture' },
    },
    layers: [
      {
        kind: 'picture',
        id: LAYER,
        name: 'Canvas',
        role: 'background',
        visible: true,
        picture: PICTURE,
        placing: fillScreen(),
        fit,
      },
    ],
  };
  return { scene, pictures: [picture], named: [], limits: [], fonts: null };
}

/** Where a rectangle of the screen lies on the canvas, as far as it does; `null` beside it. */
function onCanvas(rect: Rect, drawn: Rect): Rect | null {
  const part = intersect(rect, drawn);
  return (
    part && {
      x: (part.x - drawn.x) / drawn.width,
      y: (part.y - drawn.y) / drawn.height,
      width: part.width / drawn.width,
      height: part.height / drawn.height,
    }
  );
}

const keyOf = ({ x, y, width, height }: Rect) => [x, y, width, height].map((v) => v.toFixed(4)).join(' ');
const once = (rects: readonly (Rect | null)[]): Rect[] => [
  ...new Map(rects.flatMap((r) => (r ? [[keyOf(r), r] as const] : []))).values(),
];

/** What a background has to be composed to, for screens and a fit. */
export function templateOf({ cases, fit, ratio }: TemplateAsked): Template {
  const canvas = smallestCanvas(cases, ratio);
  const density = Math.max(1, ...cases.map((c) => c.screen.density));
  const input = inputOf(canvas, density, fit);
  const found = distinctCases(cases).flatMap(({ shown }) => {
    const { layers, regions } = surveyCase(input, shown);
    const drawn = layers.find((l) => l.id === LAYER);
    if (drawn?.kind !== 'picture') return [];
    const { drawn: whole, visible } = drawn.placement;
    const safe = visible && intersect(visible, regions.safe);
    return [
      {
        seen: visible && onCanvas(visible, whole),
        safe: safe && onCanvas(safe, whole),
        cutouts: turn(shown.screen, shown.rotation).cutouts.map((c) => onCanvas(c, whole)),
      },
    ];
  });
  const everywhere = (rects: (Rect | null)[]) => seenEverywhere(rects.map((rect) => ({ weight: 1, rect })));
  return {
    canvas,
    density,
    seen: found.length > 0 ? everywhere(found.map((f) => f.seen)) : null,
    safe: found.length > 0 ? everywhere(found.map((f) => f.safe)) : null,
    views: once(found.map((f) => f.seen)),
    cutouts: once(found.flatMap((f) => f.cutouts)),
    cases: cases.length,
  };
}
