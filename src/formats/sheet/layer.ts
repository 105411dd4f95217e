import { isRepeating } from '@/core/fit/rule';
import type { Axis } from '@/core/geometry/rect';
import { bottom, right } from '@/core/geometry/rect';
import { CUT_WORDS, sayFile } from '@/core/pictures/words';
import type { Picture, Rendition } from '@/core/pictures/picture';
import type { Documents } from '@/core/project/documents';
import {
  isPlaced,
  type GroundLayer,
  type Layer,
  type PictureLayer,
  type PlacedLayer,
} from '@/core/scene/scene';
import { layerSentence, sayStyle, whenSentence } from '@/core/sentences/layer';
import { sayFit } from '@/core/sentences/fit';
import { ruledAlong, type Ruled } from '@/core/sentences/placing';
import { sentenceText } from '@/core/sentences/parts';
import { ROLE_WORDS, sayLengthOf, seenBy, type Names } from '@/core/sentences/words';
import type { CaseResult, PlacedResult } from '@/core/survey/survey';
import { isZero } from '@/core/values/values';
import { sayDensity } from '@/core/words/numbers';
import { cssOfLayer } from '../css/snippet';
import type { SceneSheet } from '../css/scene';
import { colourFacts, paintFacts } from './colours';
import type { Fact, Row, Section } from './schema';

/** A case as it was surveyed, and the px of its screen per lu. */
export interface Seen {
  result: CaseResult;
  density: number;
}

/** What the sections of a sheet are made from. */
export interface SectionAround {
  documents: Documents;
  names: Names;
  /** on the screens on which lengths are said, in their order */
  results: readonly Seen[];
  css: SceneSheet;
}

const KIND_WORDS = { ground: 'ground', picture: 'picture', text: 'text', panel: 'panel' } as const;

const on = (layer: Layer, results: readonly Seen[]) =>
  results.map((r) => ({
    ...r,
    found: r.result.layers.find((l): l is PlacedResult => l.id === layer.id && l.kind !== 'ground') ?? null,
  }));

const NOT_SHOWN = 'not shown';

/** One length on each of the screens. */
function row(
  id: string,
  what: string,
  ruled: string,
  layer: Layer,
  results: readonly Seen[],
  of: (found: PlacedResult, screen: { width: number; height: number }) => number,
): Row {
  const at = on(layer, results).map(({ result, density, found }) => {
    if (!found) return NOT_SHOWN;
    const lu = of(found, result.regions.screen);
    return { lu, px: lu * density };
  });
  return { id, what, ruled, at };
}

const wordsOf = (ruled: readonly Ruled[], ...whats: Ruled['what'][]) =>
  ruled
    .filter((r) => whats.includes(r.what))
    .map((r) => r.words)
    .join(', ');

/** Sizes, and distances from the edges of the screen, of one axis. */
function axisRows(layer: PlacedLayer, axis: Axis, { names, results }: SectionAround): Row[] {
  const ruled = ruledAlong(layer.placing, axis, seenBy(layer, names));
  const mirrored = axis === 'x' && names.mirrored === true;
  const [near, far] = axis === 'x' ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
  const [nearRule, farRule] = mirrored ? (['end', 'start'] as const) : (['start', 'end'] as const);
  const extent = axis === 'x' ? 'width' : 'height';
  const has = (what: Ruled['what']) => ruled.some((r) => r.what === what);
  const of = (id: string, what: string, said: string, value: Parameters<typeof row>[5]) =>
    row(id, what, said, layer, results, value);
  return [
    of(extent, extent, wordsOf(ruled, 'extent'), ({ box }) => box[extent]),
    of(near, `${near} edge from the screen’s`, wordsOf(ruled, nearRule, 'middle'), ({ box }) => box[axis]),
    ...(has(farRule)
      ? [
          of(far, `${far} edge from the screen’s`, wordsOf(ruled, farRule), ({ box }, screen) =>
            axis === 'x' ? screen.width - right(box) : screen.height - bottom(box),
          ),
        ]
      : []),
  ];
}

const pictureIn = ({ project }: Documents, { picture }: PictureLayer) =>
  project.pictures.find((p) => p.id === picture)!;

const sayRendition = (r: Rendition) =>
  `${r.vector ? 'drawing' : `${sayDensity(r.density)}×`}, ${r.appearance}, ${sayFile(r)}`;

/** Which file each of the screens takes. */
function fileRow(layer: PictureLayer, { results }: SectionAround): Row {
  const at = on(layer, results).map(({ found }) =>
    found?.kind === 'picture' ? sayRendition(found.rendition) : NOT_SHOWN,
  );
  return { id: 'file', what: 'file', ruled: '', at };
}

/** Every file of a picture, and what stands in for those that there are not. */
function fileFacts({ cuts, name }: Picture): Fact[] {
  const several = cuts.length > 1;
  const facts = cuts.flatMap(({ cut, renditions }) => {
    const label = several ? `files for ${CUT_WORDS[cut]}` : 'files';
    const text = renditions.map(sayRendition).join('; ');
    return [{ id: `files-${cut}`, what: label, text: `${name}: ${text}` }];
  });
  const hasDark = cuts.some((c) => c.renditions.some((r) => r.appearance === 'dark'));
  return hasDark
    ? facts
    : [...facts, { id: 'no-dark', what: 'in the dark', text: 'none of its own: the light file is taken' }];
}

function pictureFacts(layer: PictureLayer, { documents, names }: SectionAround): Fact[] {
  const { fit, tint } = layer;
  const { named } = documents.project;
  return [
    {
      id: 'fit',
      what: 'fit',
      text: sayFit(fit, names) + (fit.clip || isRepeating(fit) ? ', cut off at its box' : ''),
    },
    ...(isZero(fit.cornerRadius)
      ? []
      : [{ id: 'radius', what: 'corner radius', text: sayLengthOf(fit.cornerRadius, names) }]),
    ...(tint ? colourFacts('tint', 'tint', tint, named) : []),
    ...fileFacts(pictureIn(documents, layer)),
  ];
}

function kindFacts(layer: Layer, around: SectionAround): Fact[] {
  const { names, documents } = around;
  const { named } = documents.project;
  switch (layer.kind) {
    case 'ground':
      return paintFacts('colour', 'colour', layer.colour, named);
    case 'picture':
      return pictureFacts(layer, around);
    case 'text':
      return [
        { id: 'text', what: 'text', text: layer.text },
        { id: 'style', what: 'style', text: sayStyle(layer.style, names) },
        ...colourFacts('colour', 'colour', layer.style.colour, named),
      ];
    case 'panel':
      return [
        ...paintFacts('colour', 'colour', layer.colour, named),
        { id: 'radius', what: 'corner radius', text: sayLengthOf(layer.cornerRadius, names) },
        ...(['left', 'right', 'top', 'bottom'] as const).map((side) => ({
          id: `padding-${side}`,
          what: `padding, ${side}`,
          text: sayLengthOf(layer.padding[side], names),
        })),
      ];
  }
}

/** Rules that differ when the screen is turned, or by its width. */
const whenFacts = (layer: PlacedLayer, { names, documents }: SectionAround): Fact[] =>
  (layer.when ?? []).map((_, i) => ({
    id: `when-${i + 1}`,
    what: 'differs',
    text: sentenceText(whenSentence(layer, i, names, documents.project.pictures)),
  }));

const aboutOf = (layer: Layer, { documents }: SectionAround) => {
  const files =
    layer.kind === 'picture' ? pictureIn(documents, layer).cuts.flatMap((c) => c.renditions).length : 0;
  return [
    KIND_WORDS[layer.kind],
    isPlaced(layer) && ROLE_WORDS[layer.role].replace(/^an? /, ''),
    files > 0 && `${files} ${files === 1 ? 'file' : 'files'}`,
    !layer.visible && 'hidden',
  ]
    .filter((part, i, all) => part && all.indexOf(part) === i)
    .join(' · ');
};

/** Everything of one layer. */
export function layerSection(layer: Layer | GroundLayer, around: SectionAround): Section {
  const { css, names, documents } = around;
  const notSaid = css.notSaid.find((n) => n.layer.id === layer.id);
  const opacity = layer.opacity ?? 1;
  return {
    id: layer.id,
    name: layer.name,
    about: aboutOf(layer, around),
    sentence: sentenceText(layerSentence(layer, names, documents.project.pictures)),
    rows: isPlaced(layer)
      ? [
          ...axisRows(layer, 'x', around),
          ...axisRows(layer, 'y', around),
          ...(layer.kind === 'picture' ? [fileRow(layer, around)] : []),
        ]
      : [],
    facts: [
      ...kindFacts(layer, around),
      ...(opacity === 1 ? [] : [{ id: 'opacity', what: 'opacity', text: `${opacity * 100} %` }]),
      ...(isPlaced(layer) ? whenFacts(layer, around) : []),
    ],
    ...(notSaid ? { notSaid: notSaid.rule } : { css: cssOfLayer(layer.id, css) }),
  };
}
