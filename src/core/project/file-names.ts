import type { Project } from './project';

/**
 * What files are to a project, in words: “Harbour (dark, 2×)”, or “the font Harbour Sans”. Files that the project does not have
 * are left out.
 * @param hashes of the files
 */
export function namesOfFiles(
  { pictures, fonts = [] }: Pick<Project, 'pictures' | 'fonts'>,
  hashes: readonly string[],
): string[] {
  const files = pictures.flatMap((p) =>
    p.cuts.flatMap((c) =>
      c.renditions.map((r) => ({ hash: r.hash, name: `${p.name} (${r.appearance}, ${r.density}×)` })),
    ),
  );
  const all = [...files, ...fonts.map((f) => ({ hash: f.hash, name: `the font ${f.name}` }))];
  return hashes.flatMap((hash) => all.find((f) => f.hash === hash)?.name ?? []);
}
