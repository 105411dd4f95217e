import { unionOf, type Rect } from '../geometry/rect';
import { offMiddle } from '../pixels/centre';
import type { Ink } from '../pixels/ink';
import { cutFor } from './choose';
import { widestOf, type Cut, type Picture } from './picture';

/** The files that tell where the ink of a cut lies: the widest of each appearance. */
const tellingFiles = ({ renditions }: Cut) =>
  (['light', 'dark'] as const).flatMap((appearance) => {
    const files = renditions.filter((r) => r.appearance === appearance);
    return files.length > 0 ? [widestOf(files)] : [];
  });

/** The hashes of the files that tell where the ink of a picture lies. */
export const inkFiles = (picture: Picture): string[] => [
  ...new Set(picture.cuts.flatMap((c) => tellingFiles(c).map((r) => r.hash))),
];

/** Where the ink of each cut lies, in light and dark together, shares of the cut; only of those whose files are see-through. */
export function inkOfCuts(picture: Picture, ink: ReadonlyMap<string, Ink>): Map<Cut['cut'], Rect> {
  const found = new Map<Cut['cut'], Rect>();
  for (const cut of picture.cuts) {
    const known = tellingFiles(cut).flatMap((r) => ink.get(r.hash) ?? []);
    if (known.length > 0 && known.every((i) => i.by === 'alpha'))
      found.set(cut.cut, unionOf(known.map((i) => i.bounds)));
  }
  return found;
}

/** How far the ink of the cut lies off its middle that each orientation shows; `null` where that is not known of both. */
export function inkOffOf(picture: Picture, bounds: ReadonlyMap<Cut['cut'], Rect>) {
  const off = (orientation: 'portrait' | 'landscape') => {
    const own = bounds.get(cutFor(picture.cuts, orientation).cut);
    return own ? offMiddle({ bounds: own }) : null;
  };
  const [portrait, landscape] = [off('portrait'), off('landscape')];
  return portrait && landscape ? { portrait, landscape } : null;
}
