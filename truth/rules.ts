import { FIT_NAMES, type Fit, type FitSize, type Repeat } from '../src/core/fit/rule';
import type { AxisRule, Bound, Edge, Extent, Placing, Region } from '../src/core/placing/rule';
import type { Paint } from '../src/core/values/paint';
import type { Length } from '../src/core/values/values';
import type { Random } from './random';

/** Random rules: placing, fits, paints. */

export const lu = (value: number): Length => ({ value, unit: 'lu' });
export const percent = (value: number): Length => ({ value, unit: '%' });
export const zero = lu(0);
export const none = { left: zero, right: zero, top: zero, bottom: zero };

const SCREEN_REGIONS = ['screen', 'safe', 'content', 'margins'] as const;

/** What a rule may be measured from at its place in the scene. */
export interface Around {
  /** layers in front of which nothing has been said yet, in the same holder */
  before: string[];
  inPanel: boolean;
}

const region = (random: Random, { before, inPanel }: Around): Region => {
  if (before.length > 0 && random.chance(0.25)) return `layer:${random.pick(before)}`;
  return inPanel ? 'parent' : random.pick(SCREEN_REGIONS);
};
const isLayer = (r: Region) => r.startsWith('layer:');

const offset = (random: Random, of: Region, density: number): Length => {
  if (!isLayer(of) && random.chance(0.2)) return percent(random.tenth(-8, 20));
  if (random.chance(0.15)) return { value: random.whole(-20, 60), unit: 'px' };
  return lu(random.tenth(-10, 10 + 20 / density));
};

function edge(random: Random, own: 'start' | 'end', around: Around, density: number): Edge {
  const of = region(random, around);
  const side = isLayer(of) && random.chance(0.7) ? (own === 'start' ? 'end' : 'start') : undefined;
  return { region: of, offset: offset(random, of, density), ...(side && { side }) };
}

/** A length that something small or large may have. */
function length(
  random: Random,
  inPanel: boolean,
): { length: Length; of?: 'safe' | 'screen' | 'short' | 'long' } {
  if (random.chance(0.5)) return { length: lu(random.tenth(20, inPanel ? 120 : 260)) };
  return {
    length: percent(random.tenth(8, inPanel ? 30 : 70)),
    of: random.pick(['safe', 'screen', 'short', 'long']),
  };
}

const bound = (random: Random): Bound => ({ length: lu(random.tenth(15, 300)) });
const bounds = (random: Random) => ({
  ...(random.chance(0.2) && { min: bound(random) }),
  ...(random.chance(0.2) && { max: bound(random) }),
});

export function held(random: Random, extent: Extent, around: Around, density: number): AxisRule {
  const kind = random.pick(['start', 'end', 'middle', 'middle'] as const);
  if (kind !== 'middle') return { kind, edge: edge(random, kind, around, density), extent };
  const of = region(random, around);
  return { kind, region: of, shift: offset(random, of, density), extent };
}

const pinned = (random: Random, around: Around, density: number): AxisRule => ({
  kind: 'edges',
  start: edge(random, 'start', { ...around, before: [] }, density),
  end: edge(random, 'end', { ...around, before: [] }, density),
});

/** @param hasOwn whether it has a natural size and a shape of its own */
export function placing(random: Random, hasOwn: boolean, around: Around, density: number): Placing {
  const at = (extent: Extent) => held(random, extent, around, density);
  const sized = (): Extent => ({ kind: 'length', ...length(random, around.inPanel), ...bounds(random) });
  const value = hasOwn && random.chance(0.7) ? ('own' as const) : random.pick([1, 1.6, 0.75]);
  const ratio = { value, strict: random.chance(0.7) };
  const follows: Extent = { kind: 'from-ratio', ...bounds(random) };
  switch (random.pick(['two', 'ratio', 'ratio', 'ratio', 'pinned', 'pinned-ratio', 'natural'] as const)) {
    case 'ratio':
      return random.chance(0.5)
        ? { x: at(sized()), y: at(follows), ratio }
        : { x: at(follows), y: at(sized()), ratio };
    case 'pinned':
      return { x: pinned(random, around, density), y: at(sized()) };
    case 'pinned-ratio':
      return { x: pinned(random, around, density), y: at(follows), ratio };
    case 'natural': {
      if (!hasOwn) break;
      const natural = (): Extent => ({ kind: 'natural', ...bounds(random) });
      return { x: at(natural()), y: at(natural()), ratio: { value: 'own', strict: true } };
    }
  }
  return { x: at(sized()), y: at(sized()) };
}

export function fit(random: Random, mayRepeat: boolean): Fit {
  const size: FitSize = random.chance(0.25)
    ? random.pick<FitSize>([
        { width: percent(random.whole(20, 120)), height: 'auto' },
        { width: 'auto', height: lu(random.whole(20, 200)) },
        { width: percent(random.whole(20, 90)), height: lu(random.whole(30, 160)) },
      ])
    : random.pick([...FIT_NAMES, 'cover']);
  const repeats = mayRepeat && size !== 'scale-down' && random.chance(0.4);
  const repeat = (): Repeat =>
    repeats ? random.pick(['repeat', 'space', 'round', 'repeat', 'no-repeat']) : 'no-repeat';
  const repeated = { x: repeat(), y: repeat() };
  // This engine counts percentages from the size of a tile before it is rounded; the specification can be read otherwise.
  const isRound = repeated.x === 'round' || repeated.y === 'round';
  const axis = () => ({
    percent: isRound ? 0 : random.whole(0, 100),
    offset: random.chance(0.3) ? lu(random.whole(-15, 15)) : zero,
  });
  const isFocal = !repeats && size === 'cover' && random.chance(0.3);
  // What spills over its box can be left to show where CSS has a word for the fit.
  const hasWord = ['cover', 'contain', 'stretch', 'natural'].includes(size as string);
  return {
    size,
    repeat: repeated,
    align: isFocal ? { kind: 'focal' } : { kind: 'position', x: axis(), y: axis() },
    clip: repeats || isFocal || !hasWord || random.chance(0.6),
    cornerRadius: random.chance(0.3)
      ? random.chance(0.5)
        ? lu(random.whole(4, 200))
        : percent(random.whole(5, 80))
      : zero,
  };
}

/** With a dark half of its own, or without. */
export const colourOf = (random: Random, alpha = 1) => ({
  light: random.colour(alpha),
  ...(random.chance(0.4) && { dark: random.colour(alpha) }),
});

export function paint(random: Random, alpha: number): Paint {
  const colour = () => colourOf(random, random.chance(0.5) ? alpha : random.tenth(0, 1));
  if (random.chance(0.5)) return colourOf(random, alpha);
  const stops = [0, random.whole(20, 80), 100].map((at) => ({ colour: colour(), at }));
  return random.chance(0.6)
    ? { gradient: 'linear', angle: random.whole(-180, 360), stops }
    : { gradient: 'radial', centre: { x: random.whole(-10, 110), y: random.whole(0, 100) }, stops };
}

const wholeScreen: AxisRule = {
  kind: 'edges',
  start: { region: 'screen', offset: zero },
  end: { region: 'screen', offset: zero },
};
export const everywhere: Placing = { x: wholeScreen, y: wholeScreen };
