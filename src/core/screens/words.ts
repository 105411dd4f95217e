import type { Case } from './cases';
import type { KIND_GROUPS } from './kinds';
import { SLOT_KIND, type Screen } from './screen';
import { isSideways, orientationOf, type Orientation } from './turn';

/** What screens and cases are called. */

export const ORIENTATION_LABELS: Record<Orientation, string> = {
  'portrait-primary': 'portrait',
  'landscape-primary': 'landscape',
  'landscape-secondary': 'landscape, turned the other way',
  'portrait-secondary': 'portrait, upside down',
};

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
  'icon-slot': 'Slot',
};

/** The size of a case by its whole-number label, turned: “852 × 393”. The exact one stands in the close-up. */
export function caseSize({ screen, rotation }: Case): string {
  const [width, height] = isSideways(rotation)
    ? [screen.height, screen.width]
    : [screen.width, screen.height];
  return `${width} × ${height}`;
}

export const kindName = ({ kind }: Screen) => KIND_NAMES[kind];
/** “compact phone”: a kind by itself, where the list of kinds is said. */
export const kindWord = (kind: Screen['kind']) => kind.replace('-', ' ');
export const caseTurn = (c: Case) => ORIENTATION_LABELS[orientationOf(c.screen, c.rotation)];

/** “Phone 393 × 852, portrait” */
export const caseName = (c: Case) =>
  c.screen.kind === SLOT_KIND
    ? c.screen.label
    : `${kindName(c.screen)} ${caseSize(c)}, ${caseTurn(c)}${sayTextSize(c.screen)}`;

const sayTextSize = ({ textSize = 1 }: Screen) =>
  textSize === 1 ? '' : `, text at ${Math.round(textSize * 100)} %`;
