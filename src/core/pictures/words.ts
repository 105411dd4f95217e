import { saySize } from '../words/numbers';
import type { Cut, Rendition } from './picture';

/** What files are called. */

export const CUT_WORDS: Record<Cut['cut'], string> = {
  any: 'any orientation',
  portrait: 'portrait',
  landscape: 'landscape',
};

/** “2400 × 1800 px” */
export const sayFile = ({ widthPx: width, heightPx: height }: Pick<Rendition, 'widthPx' | 'heightPx'>) =>
  `${saySize({ width, height })} px`;
