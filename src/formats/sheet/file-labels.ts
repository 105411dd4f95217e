import type { Picture } from '@/core/pictures/picture';
import { sayDensity } from '@/core/words/numbers';
import { fileStem } from '../text/file-name';

/** What the files of pictures are called where their endings are not known: “harbour-dark@2x”, by their hash. */
export function fileLabels(pictures: readonly Picture[]): ReadonlyMap<string, string> {
  return new Map(
    pictures.flatMap(({ name, cuts }) =>
      cuts.flatMap(({ cut, renditions }) =>
        renditions.map(({ hash, appearance, density, vector }) => {
          const parts = [
            fileStem(name),
            cut === 'any' ? '' : `-${cut}`,
            appearance === 'dark' ? '-dark' : '',
            vector || density === 1 ? '' : `@${sayDensity(density)}x`,
          ];
          return [hash, parts.join('')] as const;
        }),
      ),
    ),
  );
}
