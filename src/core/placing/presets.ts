import { lu, percent } from '../values/values';
import type { AxisRule, Edge, Placing } from './rule';

const zero = lu(0);
const ownShape = { value: 'own', strict: true } as const;
const middleOfSafe = { kind: 'middle', region: 'safe', shift: zero } as const;

const shareOfSafe = (share: number, most: number): AxisRule => ({
  ...middleOfSafe,
  extent: { kind: 'length', length: percent(share), of: 'safe', max: { length: lu(most) } },
});

/** All four edges of the whole screen: a background. */
export function fillScreen(): Placing {
  const edge = { region: 'screen', offset: zero } as const;
  const rule: AxisRule = { kind: 'edges', start: edge, end: edge };
  return { x: rule, y: rule };
}

/** In the middle of the safe area, a share of its width up to a size, in its own shape: a logo. */
export const middleOfSafeArea = (): Placing => ({
  x: shareOfSafe(40, 220),
  y: { ...middleOfSafe, extent: { kind: 'from-ratio' } },
  ratio: ownShape,
});

/** Just under another layer, in the middle across: a label under a logo. */
export const underLayer = (id: string): Placing => ({
  x: shareOfSafe(50, 280),
  y: {
    kind: 'start',
    edge: { region: `layer:${id}`, side: 'end', offset: lu(16) },
    extent: { kind: 'from-ratio' },
  },
  ratio: ownShape,
});

/** Along the bottom of the safe area, from side to side of the screen: a strip. */
export function stripAtBottom(): Placing {
  const side = { region: 'screen', offset: zero } as const;
  return {
    x: { kind: 'edges', start: side, end: side },
    y: {
      kind: 'end',
      edge: { region: 'safe', offset: zero },
      extent: { kind: 'length', length: lu(64) },
    },
  };
}

/** Around another layer, so far out of it on each side: a scrim behind a text. */
export function around(id: string, by: number): Placing {
  const edge = { region: `layer:${id}`, offset: lu(-by) } as const;
  const rule: AxisRule = { kind: 'edges', start: edge, end: edge };
  return { x: rule, y: rule };
}

/** The layers that a rule lays something around: all four edges are measured from them, and none inwards; else none. */
export function laidAround({ x, y }: Placing): string[] {
  if (x.kind !== 'edges' || y.kind !== 'edges') return [];
  const edges = [x.start, x.end, y.start, y.end];
  const outwards = ({ region, side, offset }: Edge) =>
    region.startsWith('layer:') && side === undefined && 'value' in offset && offset.value <= 0;
  if (!edges.every(outwards)) return [];
  return [...new Set(edges.map((e) => e.region.slice('layer:'.length)))];
}

/** A panel in the middle of the safe area, four fifths of its width up to a size, as high as what it holds. */
export const panelInTheMiddle = (): Placing => ({
  x: shareOfSafe(80, 480),
  y: { ...middleOfSafe, extent: { kind: 'hug' } },
});

/** In the middle across of its panel, at its top or below a layer in it, in its own shape: a picture. @param hugs whether the panel is as wide as what it holds */
export const acrossThePanel = (below: string | null, hugs: boolean): Placing => ({
  // The middle of a panel that goes around it is only known once it is placed.
  x: hugs
    ? { kind: 'start', edge: { region: 'parent', offset: zero }, extent: { kind: 'length', length: lu(160) } }
    : {
        kind: 'middle',
        region: 'parent',
        shift: zero,
        extent: { kind: 'length', length: percent(60), of: 'parent' },
      },
  y: { ...downThePanel(below).y, extent: { kind: 'from-ratio' } } as AxisRule,
  ratio: ownShape,
});

/** From side to side of its panel, at its top or below a layer in it: a line of text. */
export function downThePanel(below: string | null): Placing {
  const side = { region: 'parent', offset: zero } as const;
  return {
    x: { kind: 'edges', start: side, end: side },
    y: {
      kind: 'start',
      edge: below ? { region: `layer:${below}`, side: 'end', offset: lu(12) } : side,
      extent: { kind: 'natural' },
    },
  };
}

/** In its natural size in the middle of the safe area, or just under a layer: a label. */
export const label = (below: string | null): Placing => ({
  x: { ...middleOfSafe, extent: { kind: 'natural', max: { length: percent(90), of: 'safe' } } },
  y: below
    ? {
        kind: 'start',
        edge: { region: `layer:${below}`, side: 'end', offset: lu(16) },
        extent: { kind: 'natural' },
      }
    : { ...middleOfSafe, extent: { kind: 'natural' } },
});
