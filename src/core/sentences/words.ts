import { sayNumber } from '../words/numbers';
import { possessive } from '../words/words';
import type { Axis } from '../geometry/rect';
import type { Basis, Region } from '../placing/rule';
import type { LayerRole } from '../scene/scene';
import type { Length, NamedValue } from '../values/values';
import type { ProjectFont } from '../text/style';
import type { Path } from './parts';

/** What sentences refer to by name. */
export interface Names {
  layers: readonly { id: string; name: string }[];
  named: readonly NamedValue[];
  /** that were imported */
  fonts?: readonly Pick<ProjectFont, 'hash' | 'name'>[] | undefined;
  /** where the rule that is said stands inside its layer; the layer itself when absent */
  base?: Path;
  /** name of the panel that holds the layer whose rule is said */
  holder?: string;
  /** whether the scene is drawn mirrored, so that what a rule calls its start lies at the right */
  mirrored?: boolean;
}

/** The names as the rules of a layer see them: its panel goes by its own name. */
export const seenBy = ({ parent }: { parent?: string }, names: Names): Names => ({
  ...names,
  holder: names.layers.find((l) => l.id === parent)?.name,
});

interface AxisWords {
  start: string;
  end: string;
  before: string;
  after: string;
  extent: string;
  size: string;
  along: string;
}

export const AXIS_WORDS: Record<Axis, AxisWords> = {
  x: {
    start: 'left',
    end: 'right',
    before: 'left of',
    after: 'right of',
    extent: 'width',
    size: 'wide',
    along: 'across',
  },
  y: {
    start: 'top',
    end: 'bottom',
    before: 'above',
    after: 'below',
    extent: 'height',
    size: 'high',
    along: 'down',
  },
};

const MIRRORED: AxisWords = {
  ...AXIS_WORDS.x,
  start: 'right',
  end: 'left',
  before: 'right of',
  after: 'left of',
};

/** The words for an axis as it is drawn: the right-to-left preview turns left and right about. */
export const axisWords = (axis: Axis, { mirrored }: Pick<Names, 'mirrored'>): AxisWords =>
  mirrored && axis === 'x' ? MIRRORED : AXIS_WORDS[axis];

export const REGION_WORDS: Record<Exclude<Region, `layer:${string}`>, string> = {
  screen: 'whole screen',
  safe: 'safe area',
  content: 'content area',
  margins: 'margins',
  parent: 'panel',
};

const isPlain = (region: Region): region is keyof typeof REGION_WORDS => region in REGION_WORDS;

/** “safe area”, or the name of a layer */
export function sayRegion(region: Region, names: Names): string {
  if (region === 'parent') return names.holder ?? REGION_WORDS.screen;
  if (isPlain(region)) return REGION_WORDS[region];
  const id = region.slice('layer:'.length);
  return names.layers.find((l) => l.id === id)?.name ?? id;
}

/** The article that the name of a region asks for; a layer is called by its name. */
export const articleOf = (region: Region, { holder }: Pick<Names, 'holder'>) =>
  isPlain(region) && !(region === 'parent' && holder !== undefined) ? 'the ' : '';

export function sayBasis(of: Basis | undefined, axis: Axis, names: Names): string {
  if (of === 'short') return 'the screen’s shorter side';
  if (of === 'long') return 'the screen’s longer side';
  const region = of ?? 'screen';
  return `${articleOf(region, names)}${possessive(sayRegion(region, names))} ${AXIS_WORDS[axis].extent}`;
}

/** “38 %”, “12”, “3 px”, or the name of a named value; logical units go without saying. */
export function sayLengthOf(length: Length, names: Names): string {
  if ('named' in length) return names.named.find((n) => n.id === length.named)?.name ?? length.named;
  const number = sayNumber(length.value);
  return length.unit === 'lu' ? number : `${number} ${length.unit}`;
}

const MOST_WHOLE = 21;

/** “16 : 9” where whole numbers say it, else “1.85 : 1” */
export function sayRatioOf(value: number): string {
  for (let height = 1; height <= MOST_WHOLE; height++) {
    const width = Math.round(value * height);
    if (width > 0 && width <= MOST_WHOLE && Math.abs(width / height - value) < 1e-9)
      return `${width} : ${height}`;
  }
  return `${sayNumber(Math.round(value * 1000) / 1000)} : 1`;
}

/** What a layer is judged as: which limits it is held against. */
export const ROLE_WORDS: Record<LayerRole, string> = {
  background: 'background',
  logo: 'logo',
  text: 'text',
  other: 'something else',
};
