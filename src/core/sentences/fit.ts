import { sayNumber } from '../words/numbers';
import { presetOf, type FitPreset } from '../fit/presets';
import { isRepeating, type Fit, type FitSize, type Repeat } from '../fit/rule';
import type { Cut, Picture } from '../pictures/picture';
import type { Placing } from '../placing/rule';
import { isZero, type Length } from '../values/values';
import { joined, type Part, type Path, type Token } from './parts';
import { sayLengthOf, type Names } from './words';

const FIT_VERBS: Record<FitPreset, string> = {
  cover: 'covers its box',
  contain: 'shown whole in its box',
  stretch: 'stretched over its box',
  natural: 'drawn at its natural size',
  'scale-down': 'shown whole, never enlarged',
  tile: 'tiled over its box',
  'match-width': 'drawn as wide as its box',
  'match-height': 'drawn as high as its box',
};

const REPEAT_HOW: Record<Exclude<Repeat, 'no-repeat'>, string> = {
  repeat: '',
  space: ' with even gaps',
  round: ' in whole copies',
};

function saySize(size: FitSize, names: Names): string {
  if (typeof size === 'string') return FIT_VERBS[size];
  const { width, height } = size;
  const wide = width === 'auto' ? null : `${sayLengthOf(width, names)} wide`;
  const high = height === 'auto' ? null : `${sayLengthOf(height, names)} high`;
  const said = [wide, high].filter(Boolean).join(' and ');
  return said ? `drawn ${said}` : FIT_VERBS.natural;
}

function sayRepeat({ x, y }: Fit['repeat']): string {
  const along = (mode: Repeat, where: string) =>
    mode === 'no-repeat' ? [] : [`repeated ${where}${REPEAT_HOW[mode]}`];
  const said = x === y ? along(x, 'both ways') : [...along(x, 'across'), ...along(y, 'down')];
  return said.map((s) => `, ${s}`).join('');
}

/** “covers its box”, “drawn 35 % wide, repeated across” */
export function sayFit(fit: Fit, names: Names): string {
  const preset = presetOf(fit);
  const { x, y } = fit.repeat;
  const isPlain = preset !== 'tile' || (fit.size === 'natural' && x === 'repeat' && y === 'repeat');
  return preset && isPlain ? FIT_VERBS[preset] : saySize(fit.size, names) + sayRepeat(fit.repeat);
}

/** “62 % across, 55 % down”, “100 % across − 12, 0 % down” */
function sayPosition({ x, y }: Extract<Fit['align'], { kind: 'position' }>, names: Names): string {
  const away = (offset: Length) => {
    if (isZero(offset)) return '';
    if ('named' in offset || offset.value > 0) return ` + ${sayLengthOf(offset, names)}`;
    return ` − ${sayLengthOf({ ...offset, value: -offset.value }, names)}`;
  };
  const along = ({ percent, offset }: typeof x, word: string) =>
    `${sayNumber(percent)} % ${word}${away(offset)}`;
  return `${along(x, 'across')}, ${along(y, 'down')}`;
}

const sayPoint = ({ x, y }: Cut['focalPoint']) =>
  `${sayNumber(x * 100)} % across, ${sayNumber(y * 100)} % down`;

/** “55 % across, 55 % down”; where cuts differ in it, each one’s own: “…; on the portrait cut 45 % across, 55 % down” */
function sayFocal(cuts: readonly Cut[]): string {
  if (cuts.length === 0) return sayPoint({ x: 0.5, y: 0.5 });
  const points = cuts.map((c) => sayPoint(c.focalPoint));
  if (new Set(points).size === 1) return points[0]!;
  return cuts.map((c, i) => (c.cut === 'any' ? points[i] : `on the ${c.cut} cut ${points[i]}`)).join('; ');
}

function alignTokens({ align }: Fit, picture: Picture | undefined, base: Path, names: Names): Token[] {
  const editable = { kind: 'align', value: align } as const;
  const paths = [[...base, 'fit', 'align']];
  if (align.kind === 'position') return ['aligned ', { text: sayPosition(align, names), paths, editable }];
  return ['keeping ', { text: sayFocal(picture?.cuts ?? []), paths, editable }, ' in the middle'];
}

/** Whether the drawing is moved by more than a share of the room that it leaves. */
const isMoved = ({ align }: Fit) =>
  align.kind === 'position' && !(isZero(align.x.offset) && isZero(align.y.offset));

/** Whether the drawing always fills its box, which has the picture’s own shape, so that there is nothing to hold or to cut. */
const ownShape = ({ x, y, ratio }: Placing, fit: Fit) =>
  ratio?.value === 'own' &&
  ratio.strict &&
  !(x.kind === 'edges' && y.kind === 'edges') &&
  fit.size === 'contain' &&
  !isRepeating(fit) &&
  !isMoved(fit);

export const clipPart = (value: boolean, path: Path, what: string): Part => ({
  text: value ? 'cut off' : 'left to show',
  paths: [path],
  editable: { kind: 'clip', value, what },
});

/** How a picture is drawn in its box. */
export function fitTokens(fit: Fit, placing: Placing, picture: Picture | undefined, names: Names): Token[] {
  const base = names.base ?? [];
  const verb: Token = {
    text: sayFit(fit, names),
    paths: [[...base, 'fit']],
    editable: { kind: 'fit', value: fit },
  };
  const corners: Token[] = isZero(fit.cornerRadius)
    ? []
    : ['corners rounded ', radiusPart(fit.cornerRadius, [...base, 'fit', 'cornerRadius'], names)];
  if (ownShape(placing, fit)) return joined([[verb], corners]);
  const clip = clipPart(fit.clip, [...base, 'fit', 'clip'], 'Spill');
  return joined([[verb], alignTokens(fit, picture, base, names), ['spill ', clip], corners]);
}

export const radiusPart = (value: Fit['cornerRadius'], path: Path, names: Names): Part => ({
  text: sayLengthOf(value, names),
  paths: [path],
  editable: {
    kind: 'length',
    value,
    label: 'Radius of the corners',
    percentOf: 'the shorter side of the box',
  },
});
