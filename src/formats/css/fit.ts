import type { Axis } from '@/core/geometry/rect';
import { isRepeating, type Fit } from '@/core/fit/rule';
import type { Length } from '@/core/values/values';
import type { Lengths } from './lengths';
import type { NaturalCss } from './sizes';
import { cssNumber, Sum } from './sum';

/** A picture in its box. */
export interface FitAround {
  fit: Fit;
  natural: NaturalCss;
  /** the box, as far as inside it */
  box: Record<Axis, Sum>;
  focalPoint: { x: number; y: number };
  lengths: Lengths;
}

const OBJECT_FIT: Partial<Record<string, string>> = { cover: 'cover', contain: 'contain', stretch: 'fill' };

/** How `object-fit` says the fit; `null` where it has no word for it. Source: CSS Images 3 §5.5. */
export const objectFit = (fit: Fit): string | null =>
  typeof fit.size === 'string' && !isRepeating(fit) && fit.align.kind === 'position'
    ? (OBJECT_FIT[fit.size] ?? null)
    : null;

const AXES = ['x', 'y'] as const;

/** The position of a picture in its box, for `object-position` and `background-position`. */
export function position({ fit, box, lengths }: FitAround): string {
  if (fit.align.kind === 'focal') return '0 0';
  const { x, y } = fit.align;
  const at = (a: typeof x, axis: Axis) =>
    Sum.of(`${cssNumber(a.percent)}%`)
      .plus(lengths.of(a.offset, () => box[axis]))
      .css();
  const said = [at(x, 'x'), at(y, 'y')];
  return said.join(' ').replaceAll(/calc\((-?[\d.]+%)\)/g, '$1');
}

/** The size of the drawn picture. Sources: CSS Images 3 §5.5 (object-fit), CSS Backgrounds 3 §3.9 (background-size). */
function drawnSize({ fit: { size }, natural, box, lengths }: FitAround): Record<Axis, Sum> {
  const { width, height, shape } = natural;
  const { x: w, y: h } = box;
  const both = (word: 'min' | 'max', more: Partial<Record<Axis, Sum>> = {}) => ({
    x: Sum[word]([w, h.times(shape.x), ...(more.x ? [more.x] : [])]),
    y: Sum[word]([h, w.times(shape.y), ...(more.y ? [more.y] : [])]),
  });
  if (typeof size === 'object') {
    const along = (l: Length | 'auto', axis: Axis) => (l === 'auto' ? null : lengths.of(l, () => box[axis]));
    const [x, y] = [along(size.width, 'x'), along(size.height, 'y')];
    if (!x && !y) return { x: width, y: height };
    return { x: x ?? y!.times(shape.x), y: y ?? x!.times(shape.y) };
  }
  switch (size) {
    case 'cover':
      return both('max');
    case 'contain':
      return both('min');
    case 'scale-down':
      return both('min', { x: width, y: height });
    case 'stretch':
      return { x: w, y: h };
    case 'natural':
      return { x: width, y: height };
    case 'match-width':
      return { x: w, y: w.times(shape.y) };
    case 'match-height':
      return { x: h.times(shape.x), y: h };
  }
}

/** Where the drawn picture starts in its box. */
function startAlong(axis: Axis, around: FitAround, drawn: Sum): Sum {
  const { fit, box, focalPoint, lengths } = around;
  const free = box[axis].minus(drawn);
  if (fit.align.kind === 'focal') {
    const wanted = box[axis].times(0.5).minus(drawn.times(focalPoint[axis]));
    const zero = Sum.px(0);
    return Sum.max([Sum.min([zero, free]), Sum.min([wanted, Sum.max([zero, free])])]);
  }
  const { percent, offset } = fit.align[axis];
  return free.times(percent / 100).plus(lengths.of(offset, () => box[axis]));
}

/** A length under a name of its own, where it is more than a name already. */
function asProperty(name: string, size: Sum): { said: Sum; declared: Record<string, string> } {
  const css = size.css();
  const isShort = size.isPlain || /^var\(--[a-z0-9-]+\)$/.test(css);
  return isShort
    ? { said: size, declared: {} }
    : { said: Sum.of(`var(${name})`, size.isAtLeastZero), declared: { [name]: css } };
}

/** The drawn picture as a block inside its box. */
export function drawnBlock(around: FitAround): Record<string, string> {
  const size = drawnSize(around);
  const width = asProperty('--drawn-width', size.x);
  const height = asProperty('--drawn-height', size.y);
  return {
    ...width.declared,
    ...height.declared,
    position: 'absolute',
    left: startAlong('x', around, width.said).css(),
    top: startAlong('y', around, height.said).css(),
    width: width.said.css(),
    height: height.said.css(),
  };
}

const BACKGROUND_SIZE: Record<string, string> = {
  cover: 'cover',
  contain: 'contain',
  stretch: '100% 100%',
  natural: 'auto',
  'match-width': '100% auto',
  'match-height': 'auto 100%',
};

/** The size of a repeated picture. Source: CSS Backgrounds 3 §3.9. */
export function backgroundSize(around: FitAround): string {
  const { size } = around.fit;
  if (size === 'scale-down') return `${drawnSize(around).x.css()} auto`;
  if (typeof size === 'string') return BACKGROUND_SIZE[size]!;
  const along = (l: Length | 'auto', axis: Axis) =>
    l === 'auto' ? 'auto' : around.lengths.of(l, () => around.box[axis]).css();
  return `${along(size.width, 'x')} ${along(size.height, 'y')}`;
}

export const repeatWords = ({ repeat }: Fit): string => AXES.map((axis) => repeat[axis]).join(' ');
