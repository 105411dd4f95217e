import { sayNumber } from '../words/numbers';
import type { Picture } from '../pictures/picture';
import {
  isPlaced,
  type Layer,
  type PanelLayer,
  type PictureLayer,
  type PlacedLayer,
  type TextLayer,
} from '../scene/scene';
import { isZero } from '../values/values';
import type { When } from '../scene/when';
import { sameJson } from '../patch/patch';
import { fontHash, USUAL_LINE, type TextStyle } from '../text/style';
import { colourPart, paintPart } from './colour';
import { clipPart, fitTokens, radiusPart } from './fit';
import { capital, joined, type Part, type Path, type Token } from './parts';
import { placingTokens } from './placing';
import { axisWords, ROLE_WORDS, sayLengthOf, seenBy, type Names } from './words';

/** “in landscape”, “from 600 lu of width”, “in portrait from 300 to 400 lu of width” */
export function sayWhen({ orientation, minWidth, maxWidth }: When): string {
  const from = minWidth === undefined ? null : `from ${sayNumber(minWidth)}`;
  const upTo = maxWidth === undefined ? null : `${from ? '' : 'up '}to ${sayNumber(maxWidth)}`;
  const width = from || upTo ? 'lu of width' : null;
  return [orientation && `in ${orientation}`, from, upTo, width].filter(Boolean).join(' ');
}

const linesTo = (place: TextStyle['align']['x'], names: Pick<Names, 'mirrored'>) =>
  `lines to the ${place === 'middle' ? 'middle' : axisWords('x', names)[place]}`;

/** “24 bold sans, lines to the middle, at most 2 lines” */
export function sayStyle(
  { font, weight, size, lineHeight, align, maxLines, shrinkTo }: TextStyle,
  names: Pick<Names, 'mirrored' | 'fonts'>,
): string {
  const hash = fontHash(font);
  const own = names.fonts?.find((f) => f.hash === hash)?.name ?? 'an imported font';
  const face = `${sayNumber(size)} ${hash ? own : `${weight === 700 ? 'bold ' : ''}${font}`}`;
  const most = maxLines && `at most ${maxLines} ${maxLines === 1 ? 'line' : 'lines'}`;
  const shrinks = shrinkTo && `shrinks to fit, down to ${sayNumber(shrinkTo)}`;
  const pitch = lineHeight !== USUAL_LINE && `line height ${String(lineHeight)}`;
  const lies = align.y !== 'start' && `at the ${align.y === 'end' ? 'bottom' : 'middle'} of its box`;
  return [face, linesTo(align.x, names), pitch, lies, most, shrinks].filter(Boolean).join(', ');
}

const MOST_SAID = 40;

/** “Winter timetable”, cut short where it is long. */
function quoted(text: string): string {
  const line = text.replaceAll('\n', ' ');
  return `“${line.length > MOST_SAID ? `${line.slice(0, MOST_SAID).trimEnd()}…` : line}”`;
}

function textTokens({ text, style }: TextLayer, names: Names): Token[] {
  return [
    'says ',
    { text: quoted(text), paths: [['text']], editable: { kind: 'text', value: text } },
    ' in ',
    { text: sayStyle(style, names), paths: [['style']], editable: { kind: 'style', value: style } },
    ', coloured ',
    colourPart(style.colour, ['style', 'colour'], names),
  ];
}

const SIDES = ['left', 'right', 'top', 'bottom'] as const;

function paddingTokens({ padding }: PanelLayer, names: Names): Token[] {
  const seen = (side: (typeof SIDES)[number]) => {
    if (side !== 'left' && side !== 'right') return side;
    return axisWords('x', names)[side === 'left' ? 'start' : 'end'];
  };
  const part = (sides: readonly (typeof SIDES)[number][]): Part => ({
    text: sayLengthOf(padding[sides[0]!], names),
    paths: sides.map((s) => ['padding', s]),
    editable: {
      kind: 'length',
      value: padding[sides[0]!],
      label: sides.length > 1 ? 'Padding on all sides' : `Padding at the ${seen(sides[0]!)}`,
      percentOf: 'the screen',
    },
  });
  if (SIDES.every((s) => sameJson(padding[s], padding.left))) return ['padding ', part(SIDES)];
  return [
    'padding ',
    ...SIDES.flatMap((s, i): Token[] => [i > 0 ? `, ${seen(s)} ` : `${seen(s)} `, part([s])]),
  ];
}

function panelTokens(layer: PanelLayer, names: Names): Token[] {
  const corners: Token[] = isZero(layer.cornerRadius)
    ? []
    : ['corners rounded ', radiusPart(layer.cornerRadius, ['cornerRadius'], names)];
  return joined([
    ['a panel of ', paintPart(layer.colour, ['colour'], names)],
    corners,
    paddingTokens(layer, names),
  ]);
}

const opacityTokens = ({ opacity = 1 }: Layer): Token[] =>
  opacity === 1
    ? []
    : [
        'at ',
        {
          text: `${sayNumber(opacity * 100)} %`,
          paths: [['opacity']],
          editable: { kind: 'opacity', value: opacity },
        },
        ' opacity',
      ];

/** What is said of a layer besides where it lies: before the rule, and after it. */
function around(layer: PlacedLayer, names: Names, picture: Picture | undefined): [Token[], Token[]] {
  if (layer.kind === 'text') return [textTokens(layer, names), []];
  if (layer.kind === 'panel')
    return [
      panelTokens(layer, names),
      ['what it holds ', clipPart(layer.clip, ['clip'], 'What it holds'), ' at its edges'],
    ];
  const tint: Token[] = layer.tint ? ['tinted ', colourPart(layer.tint, ['tint'], names)] : [];
  return [[], joined([fitTokens(layer.fit, layer.placing, picture, names), tint])];
}

const pictureOf = (layer: PlacedLayer, pictures: readonly Picture[]) =>
  layer.kind === 'picture' ? pictures.find((p) => p.id === layer.picture) : undefined;

/** A rule that differs: when it holds, and then the rule itself, with the parts of its own. */
export function whenSentence(
  layer: PlacedLayer,
  index: number,
  names: Names,
  pictures: readonly Picture[],
): Token[] {
  const when = layer.when?.[index];
  if (!when) return [];
  const base: Path = ['when', index];
  const condition: Token = { text: sayWhen(when), paths: [base], editable: { kind: 'when', value: when } };
  if (when.visible === false) return [...capital([condition]), ': not shown.'];
  const own = { ...seenBy(layer, names), base };
  const placing = when.placing ? placingTokens(when.placing, own) : [];
  const picture = pictureOf(layer, pictures);
  const fit = when.fit ? fitTokens(when.fit, when.placing ?? layer.placing, picture, own) : [];
  return [...capital([condition]), ': ', ...joined([placing, fit]), '.'];
}

/** A layer’s rule as one sentence of fixed words and parts that can be changed in place. */
export function layerSentence(layer: Layer, names: Names, pictures: readonly Picture[]): Token[] {
  if (!isPlaced(layer)) {
    const fills = ['Fills the whole screen with ', paintPart(layer.colour, ['colour'], names)];
    return [...joined([fills, opacityTokens(layer)]), '.'];
  }
  const own = seenBy(layer, names);
  const [before, after] = around(layer, own, pictureOf(layer, pictures));
  const clauses = [before, placingTokens(layer.placing, own), after, opacityTokens(layer)];
  return [...capital(joined(clauses)), '. Role: ', rolePart(layer), '.'];
}

const rolePart = ({ role }: PlacedLayer): Part => ({
  text: ROLE_WORDS[role],
  paths: [['role']],
  editable: { kind: 'role', value: role },
});

/** Which picture a layer shows, as a part. */
export function picturePart(layer: PictureLayer, pictures: readonly Picture[]): Part {
  const picture = pictures.find((p) => p.id === layer.picture);
  return {
    text: picture?.name ?? 'a picture that is gone',
    paths: [['picture']],
    editable: { kind: 'picture', value: layer.picture },
  };
}
