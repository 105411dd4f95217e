import { cssNumber } from './sum';
import type { LayerSheet } from './scene';
import type { TakenFile, TakenFiles } from './files';

type Address = (hash: string) => string;

const srcset = ({ rendition: { hash, density, vector } }: TakenFile, address: Address) =>
  `${address(hash)}${vector || density === 1 ? '' : ` ${cssNumber(density)}x`}`;

const LANDSCAPE = '(orientation: landscape)';

const alike = (a: TakenFiles, b: TakenFiles) =>
  a.files.length === b.files.length &&
  a.files.every((f, i) => f.rendition.hash === b.files[i]!.rendition.hash);

/** An image with the files that it takes. Of several sources the first that holds is taken, so that what is said last stands first. */
export function imageHtml(
  files: NonNullable<LayerSheet['files']>,
  attributes: string,
  address: Address,
): string {
  const turned = alike(files.portrait, files.landscape)
    ? []
    : files.landscape.files.map((f) => ({ ...f, media: [f.media, LANDSCAPE].filter(Boolean).join(' and ') }));
  const [plain, ...others] = [...files.portrait.files, ...turned];
  const image = `<img ${attributes} srcset="${srcset(plain!, address)}">`;
  if (others.length === 0) return image;
  const sources = others
    .toReversed()
    .map((f) => `<source media="${f.media}" srcset="${srcset(f, address)}">`);
  return `<picture>${sources.join('')}${image}</picture>`;
}
