import type { Fit } from '../fit/rule';
import { fillScreen } from '../placing/presets';
import type { AxisRule, Placing } from '../placing/rule';
import { type GroundLayer, type Layer, type PanelLayer, type PictureLayer, type Scene } from '../scene/scene';
import { isZero, lu } from '../values/values';
import { isFullBleed, placingDropped, sayDropped } from './dropped';
import type { ScreenStage, System } from '../project/launch';

/**
 * The first window that masks an icon, lu: one box in the middle of the whole window, of which a circle is seen, and a
 * strip at the bottom; the same on every screen. Source: data/density-and-slots.json, systemSplash.
 */
export const ICON_WINDOW = {
  box: 288,
  circle: 192,
  strip: { width: 200, height: 80, bottom: 60 },
} as const;
export const MASK_ID = 'system-mask';

/** A layer that a window of the system does not draw as its rules say, and what becomes of it. */
export interface Undrawn {
  layerId: string;
  why: string;
  /** that it is drawn, but may lie elsewhere than its rule says: on which cases it does, their results tell */
  placed?: true;
}

/** A scene as a window of the system really draws it. */
export interface AsDrawn {
  scene: Scene;
  outside: Undrawn[];
}

const centred: Fit['align'] = {
  kind: 'position',
  x: { percent: 50, offset: lu(0) },
  y: { percent: 50, offset: lu(0) },
};
export const plainFit = (size: Fit['size'], clip: boolean): Fit => ({
  size,
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align: centred,
  clip,
  cornerRadius: lu(0),
});

const extentOf = (value: number) => ({ kind: 'length' as const, length: lu(value) });
const middle = (region: 'screen' | 'parent', extent: ReturnType<typeof extentOf>): AxisRule => ({
  kind: 'middle',
  region,
  shift: lu(0),
  extent,
});

/** Along an axis a window of the system only knows its start, its middle and its end. */
export function sideOf(rule: AxisRule): AxisRule {
  const extent = { kind: 'natural' as const };
  if (rule.kind === 'start' || rule.kind === 'end')
    return { kind: rule.kind, edge: { region: 'screen', offset: lu(0) }, extent };
  return { kind: 'middle', region: 'screen', shift: lu(0), extent };
}

/** Without what a window of the system does not know: parents, rules that differ, tints. */
function plain({ placing, fit }: { placing: Placing; fit: Fit }, layer: PictureLayer): PictureLayer {
  const { id, name, role, visible, picture, kind } = layer;
  return { id, name, role, visible, picture, kind, placing, fit };
}

/** What a window of the system leaves out of how a picture looks; `null` where it draws it as it is. */
function lookDropped({ tint, opacity = 1, fit }: PictureLayer): string | null {
  const list = [
    ...(tint ? ['its tint'] : []),
    ...(opacity < 1 ? ['its opacity'] : []),
    ...(isZero(fit.cornerRadius) ? [] : ['its round corners']),
  ];
  return list.length > 0 ? `this window draws the file as it is: ${sayDropped(list)}` : null;
}
/** Of a picture in a flat window. Where it only is placed otherwise, that is seen where it then lies elsewhere. */
function dropped(layer: PictureLayer): Undrawn {
  const look = lookDropped(layer);
  const why = [placingDropped(layer), look].filter((w) => w !== null).join('; ');
  return { layerId: layer.id, why, ...(look === null && !isFullBleed(layer) && { placed: true as const }) };
}

const visible = (scene: Scene) => scene.layers.filter((l) => l.visible);
const isGround = (l: Layer): l is GroundLayer => l.kind === 'ground';
const isPicture = (l: Layer): l is PictureLayer => l.kind === 'picture';

function moreGrounds(scene: Scene): Undrawn[] {
  return visible(scene)
    .filter(isGround)
    .slice(1)
    .map((l) => ({ layerId: l.id, why: 'this window has one ground' }));
}

function flat(scene: Scene): AsDrawn {
  const shown = visible(scene);
  const pictures = shown.filter(isPicture);
  const drawn = pictures.map((l) =>
    isFullBleed(l)
      ? plain({ placing: fillScreen(), fit: plainFit('stretch', true) }, l)
      : plain(
          { placing: { x: sideOf(l.placing.x), y: sideOf(l.placing.y) }, fit: plainFit('natural', false) },
          l,
        ),
  );
  const outside = [
    ...moreGrounds(scene),
    ...pictures.map(dropped),
    ...shown
      .filter((l) => l.kind === 'text' || l.kind === 'panel')
      .map((l) => ({ layerId: l.id, why: `this window draws no ${l.kind}` })),
  ];
  return { scene: { ...scene, layers: [...shown.filter(isGround).slice(0, 1), ...drawn] }, outside };
}

function mask(): PanelLayer {
  const nothing = lu(0);
  const circle = extentOf(ICON_WINDOW.circle);
  return {
    kind: 'panel',
    id: MASK_ID,
    name: 'Mask of the system',
    role: 'other',
    visible: true,
    placing: { x: middle('screen', circle), y: middle('screen', circle) },
    colour: { light: '#00000000' },
    cornerRadius: lu(ICON_WINDOW.circle / 2),
    padding: { left: nothing, right: nothing, top: nothing, bottom: nothing },
    clip: true,
  };
}

function icon(scene: Scene, padding: number): AsDrawn {
  const shown = visible(scene);
  const pictures = shown.filter(isPicture).filter((l) => l.role !== 'background');
  const [first, second] = pictures;
  const [ground] = shown.filter(isGround);
  const layers: Layer[] = [];
  const outside = moreGrounds(scene);
  if (ground && 'gradient' in ground.colour) {
    outside.push({ layerId: ground.id, why: 'this window has a ground of one colour: its first one' });
    layers.push({ ...ground, colour: ground.colour.stops[0]!.colour });
  } else if (ground) layers.push(ground);
  if (first) {
    const box = extentOf(ICON_WINDOW.box * (1 - 2 * padding));
    const placing: Placing = { x: middle('parent', box), y: middle('parent', box) };
    const look = lookDropped(first);
    if (look) outside.push({ layerId: first.id, why: look });
    layers.push(mask(), { ...plain({ placing, fit: plainFit('contain', true) }, first), parent: MASK_ID });
  }
  if (second) {
    const { width, height, bottom } = ICON_WINDOW.strip;
    const y: AxisRule = {
      kind: 'end',
      edge: { region: 'screen', offset: lu(bottom) },
      extent: extentOf(height),
    };
    const placing: Placing = { x: middle('screen', extentOf(width)), y };
    layers.push(plain({ placing, fit: plainFit('contain', true) }, second));
  }
  const kept = new Set(layers.map((l) => l.id));
  const grounds = new Set(shown.filter(isGround).map((l) => l.id));
  for (const l of shown) {
    if (kept.has(l.id) || grounds.has(l.id)) continue;
    outside.push({ layerId: l.id, why: 'this window holds a ground, one icon and one strip at the bottom' });
  }
  return { scene: { ...scene, layers }, outside };
}

/**
 * A scene as it is really drawn by what draws its stage: at natural size, stretched, masked, without text. A layout and
 * the app draw it by its rules.
 */
export function asDrawn(
  scene: Scene,
  { system, padding, empty }: Pick<ScreenStage, 'system' | 'padding' | 'empty'>,
): AsDrawn {
  if (empty) return { scene: { ...scene, layers: [] }, outside: [] };
  if (system === 'flat') return flat(scene);
  if (system === 'icon') return icon(scene, padding);
  return { scene, outside: [] };
}

/** What each kind is called, and what it may show. */
export const SYSTEM_WORDS: Record<System, { label: string; note: string }> = {
  flat: {
    label: 'a flat window of the system',
    note: 'One ground, and pictures at their natural size at a side, a corner or in the middle. No text; a picture over the whole screen is stretched.',
  },
  icon: {
    label: 'an icon window of the system',
    note: `One ground of one colour, one icon in a box of ${ICON_WINDOW.box} lu of which a circle of ${ICON_WINDOW.circle} is seen, one strip at the bottom.`,
  },
  layout: { label: 'a layout window of the system', note: 'Layers by their rules, without motion.' },
  app: { label: 'the app', note: 'Anything, with a fade.' },
};
