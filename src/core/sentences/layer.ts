import { sayNumber } from '../formats/numbers';
import { presetOf, type FitPreset } from '../fit/presets';
import type { Fit } from '../fit/rule';
import type { Picture } from '../pictures/picture';
import type { Placing } from '../placing/rule';
import type { Layer, PictureLayer } from '../scene/scene';
import type { When } from '../scene/when';
import type { Colour } from '../scene/values';
import type { Part, Path, Token } from './parts';
import { joined, placingTokens } from './placing';
import type { Names } from './words';

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

const point = (x: number, y: number) => `${sayNumber(x)} % across, ${sayNumber(y)} % down`;

function alignTokens({ align }: Fit, picture: Picture | undefined, base: Path): Token[] {
  const editable = { kind: 'align', value: align } as const;
  const paths = [[...base, 'fit', 'align']];
  if (align.kind === 'position') {
    return ['held at ', { text: point(align.x.percent, align.y.percent), paths, editable }];
  }
  const focal = picture?.cuts[0]?.focalPoint ?? { x: 0.5, y: 0.5 };
  return ['keeping ', { text: point(focal.x * 100, focal.y * 100), paths, editable }, ' in the middle'];
}

/** Whether the box always has the picture’s own shape, so that there is nothing to hold or to cut. */
const ownShape = (placing: Placing, fit: Fit) =>
  placing.ratio?.value === 'own' && placing.ratio.strict && fit.size === 'contain';

function fitTokens(fit: Fit, placing: Placing, picture: Picture | undefined, base: Path): Token[] {
  const preset = presetOf(fit);
  const verb: Token = {
    text: preset ? FIT_VERBS[preset] : 'drawn at a size of its own',
    paths: [[...base, 'fit']],
    editable: { kind: 'fit', value: preset },
  };
  if (ownShape(placing, fit)) return [verb];
  const clip: Token = {
    text: fit.clip ? 'cut off' : 'left to show',
    paths: [[...base, 'fit', 'clip']],
    editable: { kind: 'clip', value: fit.clip },
  };
  return joined([[verb], alignTokens(fit, picture, base), ['spill ', clip]]);
}

function sayColour(colour: Colour, names: Names): string {
  if ('named' in colour) return names.named.find((n) => n.id === colour.named)?.name ?? colour.named;
  return colour.dark ? `${colour.light}, in the dark ${colour.dark}` : colour.light;
}

const capital = (tokens: Token[]): Token[] => {
  const [first, ...rest] = tokens;
  if (first === undefined) return [];
  const up = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);
  return [typeof first === 'string' ? up(first) : { ...first, text: up(first.text) }, ...rest];
};

/** Where the box lies, and how the picture is drawn in it. */
const ruleTokens = (placing: Placing, fit: Fit, names: Names, picture: Picture | undefined): Token[] =>
  joined([placingTokens(placing, names), fitTokens(fit, placing, picture, names.base ?? [])]);

/** “in landscape”, “from 600 lu of width”, “in portrait up to 400 lu of width” */
export function sayWhen({ orientation, minWidth, maxWidth }: When): string {
  const from = minWidth === undefined ? null : `from ${sayNumber(minWidth)} lu of width`;
  const upTo = maxWidth === undefined ? null : `up to ${sayNumber(maxWidth)} lu of width`;
  return [orientation && `in ${orientation}`, from, upTo].filter(Boolean).join(' ');
}

/** A rule that differs: when it holds, and then the rule itself, with the parts of its own. */
export function whenSentence(
  layer: PictureLayer,
  index: number,
  names: Names,
  pictures: readonly Picture[],
): Token[] {
  const when = layer.when?.[index];
  if (!when) return [];
  const base: Path = ['when', index];
  const condition: Token = {
    text: sayWhen(when),
    paths: [base],
    editable: { kind: 'when', value: when },
  };
  if (when.visible === false) return [...capital([condition]), ': not shown.'];
  const picture = pictures.find((p) => p.id === layer.picture);
  const placing = when.placing ? placingTokens(when.placing, { ...names, base }) : [];
  const fit = when.fit ? fitTokens(when.fit, when.placing ?? layer.placing, picture, base) : [];
  return [...capital([condition]), ': ', ...joined([placing, fit]), '.'];
}

/** A layer’s rule as one sentence of fixed words and parts that can be changed in place. */
export function layerSentence(layer: Layer, names: Names, pictures: readonly Picture[]): Token[] {
  if (layer.kind === 'ground') {
    const { colour } = layer;
    const part: Token = {
      text: sayColour(colour, names),
      paths: [['colour']],
      editable: { kind: 'colour', value: colour },
    };
    return ['Fills the whole screen with ', part, '.'];
  }
  const picture = pictures.find((p) => p.id === layer.picture);
  return [...capital(ruleTokens(layer.placing, layer.fit, names, picture)), '.'];
}

/** Which picture a layer shows, as a part. */
export function picturePart(layer: PictureLayer, pictures: readonly Picture[]): Part {
  const picture = pictures.find((p) => p.id === layer.picture);
  return {
    text: picture?.name ?? 'a picture that is gone',
    paths: [['picture']],
    editable: { kind: 'picture', value: layer.picture },
  };
}
