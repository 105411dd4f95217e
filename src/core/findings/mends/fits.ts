import { FIT_PRESETS, withPreset, type FitPreset } from '../../fit/presets';
import type { Fit } from '../../fit/rule';
import { sayShare } from '../../words/numbers';
import type { Interval } from '../../solve/interval';
import { positionOf } from '../../solve/layer';
import { lu, percentOf } from '../../values/values';
import { offMiddle } from '../../pixels/centre';
import { withInkCentred } from '../../scene/ink-rules';
import { fittingRules, presetOfAll } from '../../scene/rules';
import { isPortrait } from '../../screens/turn';
import type { PictureLayer } from '../../scene/scene';
import { fitOf } from '../../scene/when';
import { sayWhen } from '../../sentences/layer';
import { fitMend, layerMend, pictureLayer, pictureOf, type Mender, type Sick } from '../mend';

const LABELS: Record<FitPreset, string> = {
  cover: 'Let it cover its box',
  contain: 'Show it whole in its box',
  stretch: 'Stretch it over its box',
  natural: 'Draw it at its natural size',
  'scale-down': 'Show it whole, never larger than natural',
  tile: 'Repeat it both ways',
  'match-width': 'Make it as wide as its box',
  'match-height': 'Make it as high as its box',
};

/** Files of at most so many px a side may be meant to be repeated. */
const TEXTURE = 256;

/** Shows the picture in each other size of fit. */
export const otherFits: Mender = (sick) => {
  const layer = pictureLayer(sick);
  if (!layer) return [];
  const now = presetOfAll(layer);
  const isTexture = (pictureOf(sick, layer)?.cuts ?? []).every((c) =>
    c.renditions.every((r) => !r.vector && Math.max(r.widthPx, r.heightPx) <= TEXTURE),
  );
  return FIT_PRESETS.filter((p) => p !== now && (p !== 'tile' || isTexture)).flatMap((preset) =>
    fitMend(sick, LABELS[preset], (fit) => ({ ...withPreset(fit, preset), clip: true })),
  );
};

/** The percentage nearest to the one in use, a whole one where the range has room for that. @param range of shares */
function nearest({ low, high }: Interval, now: number): number {
  const inside = Math.min(high * 100, Math.max(low * 100, now));
  const whole = [Math.floor(inside), Math.ceil(inside)].find((n) => n / 100 >= low && n / 100 <= high);
  return whole ?? (low + high) * 50;
}

const held = (fit: Fit, x: number, y: number): Fit => ({
  ...fit,
  align: { kind: 'position', x: { percent: x, offset: lu(0) }, y: { percent: y, offset: lu(0) } },
});

interface Place {
  x: number;
  y: number;
}

/** Where one rule had best hold the picture, %; `null` where nothing has to be seen. */
function placeOf(layer: PictureLayer, rule: number, sick: Sick): Place | null {
  const answer = positionOf(layer, sick.input, sick.cases, rule, 'position');
  if (!answer) return null;
  const { align } = fitOf(layer, rule);
  const at = (axis: 'x' | 'y') => {
    const found = answer[axis];
    const now = align.kind === 'position' ? align[axis].percent : 50;
    return found.kind === 'held' ? nearest(found.interval, now) : percentOf(answer.best[axis]);
  };
  return { x: at('x'), y: at('y') };
}

const sayPlace = ({ x, y }: Place) => `${sayShare(x / 100)} across, ${sayShare(y / 100)} down`;

/** The position at which all keep areas are seen, or else the one that keeps the most weight; of each rule its own. */
export const solvedPosition: Mender = (sick) => {
  const layer = pictureLayer(sick);
  if (!layer) return [];
  const rules = fittingRules(layer);
  const places = new Map(rules.map((rule) => [rule, placeOf(layer, rule, sick)]));
  const said = rules.flatMap((rule) => {
    const place = places.get(rule);
    const when = layer.when?.[rule];
    return place ? [`${when ? `${sayWhen(when)} ` : ''}${sayPlace(place)}`] : [];
  });
  return fitMend(sick, `Hold it ${said.join('; ')}`, (fit, rule) => {
    const place = places.get(rule);
    return place ? held(fit, place.x, place.y) : fit;
  });
};

/** The ink in the middle of the box instead of the file, where the file fills its box; of each cut that is drawn its own. */
export const centreByInk: Mender = (sick) => {
  const layer = pictureLayer(sick);
  if (!layer) return [];
  const offIn = (orientation: 'portrait' | 'landscape') => {
    const drawn = sick.results
      .filter((r) => isPortrait(r.orientation) === (orientation === 'portrait'))
      .flatMap((r) => r.layers.filter((l) => l.id === layer.id));
    const [first] = drawn;
    const ink = first?.kind === 'picture' ? sick.input.pixels?.get(first.rendition.hash)?.ink : null;
    return ink ? offMiddle(ink) : null;
  };
  const [portrait, landscape] = [offIn('portrait'), offIn('landscape')];
  const one = portrait ?? landscape;
  if (!one) return [];
  const off = { portrait: portrait ?? one, landscape: landscape ?? one };
  return layerMend(sick, 'Centre it by its ink', () => withInkCentred(layer, off));
};
