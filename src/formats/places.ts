import type { Documents } from '@/core/project/documents';
import type { KeptSignOff } from '@/core/review/sign-off';
import { fileStem } from './text/file-name';
import { DEFAULT_PATTERN, namesBy, type FileFacts } from './files/names';
import { hashesOf } from './folder';

const placeByHash = (hash: string) => `files/${hash}`;

/** In a ZIP files lie under their hash: it is read by programs. */
export const placesByHash = (
  documents: Documents,
  signOffs: readonly KeptSignOff[] = [],
): ReadonlyMap<string, string> =>
  new Map(hashesOf(documents, signOffs).map((hash) => [hash, placeByHash(hash)]));

/** How much of a hash tells two files of one name apart. */
const SHORT = 8;

/** Where each file would lie by its name alone. */
function* wantedPlaces({ project }: Documents, facts: FileFacts): Generator<[hash: string, place: string]> {
  const typeOf = (hash: string) => facts[hash]?.type ?? 'bin';
  for (const { hash, stem, ending } of namesBy(project.pictures, DEFAULT_PATTERN, facts))
    yield [hash, `pictures/${stem}.${ending}`];
  for (const { hash, name } of project.fonts ?? []) yield [hash, `fonts/${fileStem(name)}.${typeOf(hash)}`];
  for (const { hash, picture, name } of project.evidence ?? []) {
    const stem = `screenshots/${fileStem(name.replace(/\.[a-z0-9]+$/i, ''))}`;
    yield [hash, `${stem}.${typeOf(hash)}`];
    yield [picture, `${stem}-differs.${typeOf(picture)}`];
  }
}

/**
 * In a folder they lie under names that people read; where two would have one, each says a part of its hash as well. The
 * same documents have the same names whoever writes them. Files that only sign-offs still name lie under their hash.
 */
export function placesByName(
  documents: Documents,
  facts: FileFacts,
  signOffs: readonly KeptSignOff[] = [],
): ReadonlyMap<string, string> {
  const wanted = new Map<string, string>();
  const all = hashesOf(documents, signOffs).map((hash) => [hash, placeByHash(hash)] as const);
  // A file that stands in several places lies where it is named first.
  for (const [hash, place] of [...wantedPlaces(documents, facts), ...all])
    if (!wanted.has(hash)) wanted.set(hash, place);
  const count = new Map<string, number>();
  for (const place of wanted.values()) {
    const key = place.toLowerCase();
    count.set(key, (count.get(key) ?? 0) + 1);
  }
  return new Map(
    [...wanted].map(([hash, place]) => {
      if (count.get(place.toLowerCase()) === 1) return [hash, place];
      const dot = place.lastIndexOf('.');
      return [hash, `${place.slice(0, dot)}-${hash.slice(0, SHORT)}${place.slice(dot)}`];
    }),
  );
}
