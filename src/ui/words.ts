import { FIT_LABELS, type FitPreset } from '@/core/fit/presets';
import { saySize } from '@/core/words/numbers';
import type { Cut, Rendition } from '@/core/pictures/picture';
import type { Appearance } from '@/core/values/values';
import type { Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { KIND_GROUPS } from '@/core/screens/kinds';
import { orientationOf, type Orientation } from '@/core/screens/turn';
import type { CaseSummary } from '@/core/solve/summary';
import { sayFigure } from '@/core/measure/words';

export { OUTCOME_SHAPES } from '@/core/measure/words';

export const ORIENTATION_LABELS: Record<Orientation, string> = {
  'portrait-primary': 'portrait',
  'landscape-primary': 'landscape',
  'landscape-secondary': 'landscape, turned the other way',
  'portrait-secondary': 'portrait, upside down',
};

export const CUT_WORDS: Record<Cut['cut'], string> = {
  any: 'any orientation',
  portrait: 'portrait',
  landscape: 'landscape',
};

export const APPEARANCE_LABELS: Record<Appearance, string> = { light: 'Light', dark: 'Dark' };

const KIND_NAMES: Record<(typeof KIND_GROUPS)[number]['kinds'][number], string> = {
  'compact-phone': 'Phone',
  phone: 'Phone',
  'large-phone': 'Phone',
  'foldable-cover': 'Folded phone',
  'foldable-inner': 'Unfolded',
  tablet: 'Tablet',
  'split-window': 'Split window',
  'desktop-window': 'Desktop window',
  tv: 'Television or car',
};

/** The size of a case by its whole-number label, turned: “852 × 393”. The exact one stands in the close-up. */
export function caseSize({ screen, rotation }: Case): string {
  const sideways = rotation === 90 || rotation === 270;
  const [width, height] = sideways ? [screen.height, screen.width] : [screen.width, screen.height];
  return `${width} × ${height}`;
}

/** Of a scene that shows nothing but grounds. */
export const NOTHING_TO_JUDGE = 'Nothing to judge yet: this scene shows no picture, text or panel.';

export { countCases } from '@/core/words/words';

/** “2400 × 1800 px” */
export const sayFile = ({ widthPx: width, heightPx: height }: Pick<Rendition, 'widthPx' | 'heightPx'>) =>
  `${saySize({ width, height })} px`;

export const kindName = ({ kind }: Screen) => KIND_NAMES[kind];
/** “compact phone”: a kind by itself, where the list of kinds is said. */
export const kindWord = (kind: Screen['kind']) => kind.replace('-', ' ');
export const caseTurn = (c: Case) => ORIENTATION_LABELS[orientationOf(c.screen, c.rotation)];

/** “Phone 393 × 852, portrait” */
export const caseName = (c: Case) => `${kindName(c.screen)} ${caseSize(c)}, ${caseTurn(c)}`;

/** What is read out for a case: its name, its outcome and its figure. */
export function caseText(c: Case, summary: CaseSummary | undefined, layerName: string | undefined): string {
  if (!summary) return `${caseName(c)}: being measured`;
  const { headline, outcome } = summary;
  const figure = headline ? `, ${layerName ?? ''} ${sayFigure(headline.measure, headline.value)}` : '';
  return `${caseName(c)}: ${outcome}${figure}`;
}

export const FIT_WORDS: Record<FitPreset, { label: string; title: string }> = {
  cover: { label: FIT_LABELS.cover, title: 'Fills the box and keeps the shape; what spills is cut' },
  contain: { label: FIT_LABELS.contain, title: 'Shows all and keeps the shape; leaves bars' },
  stretch: { label: FIT_LABELS.stretch, title: 'Fills both ways; changes the shape' },
  natural: { label: FIT_LABELS.natural, title: 'The file’s own size' },
  'scale-down': { label: FIT_LABELS['scale-down'], title: 'Natural size, but never larger than the box' },
  tile: { label: FIT_LABELS.tile, title: 'Natural size, repeated both ways' },
  'match-width': { label: FIT_LABELS['match-width'], title: 'As wide as the box; the height follows' },
  'match-height': { label: FIT_LABELS['match-height'], title: 'As high as the box; the width follows' },
};
