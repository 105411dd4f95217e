import type { Appearance } from '../values/values';
import { recognise, sameName, type Naming } from './naming';
import { sayDensity } from '../words/numbers';
import { sameDensity, type Cut, type Picture, type Rendition } from './picture';

/** A file as it arrived: where it lay, and what it is. */
export interface Arrived {
  /** with `/` between folders */
  path: string;
  file: Pick<
    Rendition,
    'hash' | 'widthPx' | 'heightPx' | 'vector' | 'bytes' | 'profile' | 'transparent' | 'turned'
  >;
}

/** Where a file goes. */
export interface FilePlace {
  picture: string;
  cut: Cut['cut'];
  appearance: Appearance;
  /** px per lu */
  density: number;
}

export interface Assigned extends FilePlace {
  arrived: Arrived;
  /** how the density was found, in words */
  because: string;
}

/** Densities that a file without one in its name is taken for by its size. */
const USUAL = [0.75, 1, 1.5, 2, 3, 4];
const near = (a: number, b: number) => Math.abs(a - b) <= 1;

/** The usual density at which a file has these pixels of something this wide in lu; `null` when none fits to a pixel. */
const densityFor = (widthPx: number, width: number) => USUAL.find((d) => near(widthPx, width * d)) ?? null;

interface Draft extends Omit<Assigned, 'density'> {
  density: number | null;
}

/** A density for each file that has none in its name, from those of the same picture and cut. */
function bySize(draft: Draft, drafts: readonly Draft[]): Assigned {
  if (draft.density !== null) return { ...draft, density: draft.density };
  const { file } = draft.arrived;
  if (file.vector) return { ...draft, density: 1, because: 'a vector fits every density' };
  const family = drafts.filter(
    (d) => sameName(d.picture, draft.picture) && d.cut === draft.cut && !d.arrived.file.vector,
  );
  const named = family.find((d) => d.density !== null);
  if (named) {
    const fits = densityFor(file.widthPx, named.arrived.file.widthPx / named.density!);
    if (fits) {
      const because = `by its size, beside the ${sayDensity(named.density!)}x file`;
      return { ...draft, density: fits, because };
    }
  }
  const unnamed = family.filter((d) => d.density === null && d.appearance === draft.appearance);
  const smallest = Math.min(...unnamed.map((d) => d.arrived.file.widthPx));
  const fits = named ? null : densityFor(file.widthPx, smallest);
  if (fits && unnamed.length > 1)
    return { ...draft, density: fits, because: 'by its size: the smallest of them counts as 1x' };
  return { ...draft, density: 1, because: 'nothing says its density: 1 px per lu' };
}

/** What the names and sizes of files that arrived together say about where each belongs. */
export function assign(files: readonly Arrived[], naming: Naming): Assigned[] {
  const drafts = files.map((arrived): Draft => {
    const { name, density, appearance, cut, evidence } = recognise(arrived.path, naming);
    return {
      arrived,
      picture: name,
      cut: cut ?? 'any',
      appearance: appearance ?? 'light',
      density,
      because: `by ${evidence.map((e) => `“${e}”`).join(', ')} in its path`,
    };
  });
  return drafts.map((d) => bySize(d, drafts));
}

const samePlace = (a: FilePlace, b: FilePlace) =>
  sameName(a.picture, b.picture) &&
  a.cut === b.cut &&
  a.appearance === b.appearance &&
  sameDensity(a.density, b.density);

/** The files that want a place that another one before them has already, by their number in the list. */
export const clashes = (list: readonly FilePlace[]): number[] =>
  list.flatMap((place, i) => (list.slice(0, i).some((p) => samePlace(p, place)) ? [i] : []));

const newCut = (cut: Cut['cut'], rendition: Rendition): Cut => ({
  cut,
  renditions: [rendition],
  keepAreas: [],
  focalPoint: { x: 0.5, y: 0.5 },
});

function takeInto(cut: Cut, rendition: Rendition): Cut {
  const others = cut.renditions.filter(
    (r) => r.appearance !== rendition.appearance || !sameDensity(r.density, rendition.density),
  );
  return { ...cut, renditions: [...others, rendition].toSorted((a, b) => a.density - b.density) };
}

/** A picture with a file put into a cut of it, in the place of what lay there; keep areas and focal points stay. */
export function putInto(picture: Picture, cut: Cut['cut'], rendition: Rendition): Picture {
  const known = picture.cuts.some((c) => c.cut === cut);
  const cuts = known
    ? picture.cuts.map((c) => (c.cut === cut ? takeInto(c, rendition) : c))
    : [...picture.cuts, newCut(cut, rendition)];
  return { ...picture, cuts };
}

/**
 * The pictures of a project with files taken in: into a picture of the same name, replacing what lies at the same
 * place in it, else as a new picture. Focal points and keep areas stay.
 */
export function takeFiles(
  pictures: readonly Picture[],
  files: readonly Pick<Assigned, keyof FilePlace | 'arrived'>[],
  newId: () => string,
): Picture[] {
  const out = [...pictures];
  for (const { picture: name, cut, appearance, density, arrived } of files) {
    const rendition: Rendition = { ...arrived.file, appearance, density };
    const at = out.findIndex((p) => sameName(p.name, name));
    const picture = out[at];
    if (!picture) {
      out.push({ id: newId(), name: name.slice(0, 120), cuts: [newCut(cut, rendition)] });
      continue;
    }
    out[at] = putInto(picture, cut, rendition);
  }
  return out;
}
