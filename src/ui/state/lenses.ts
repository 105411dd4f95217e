/** What a lens needs that the page does not load or measure otherwise. */
interface Needs {
  /** the pixels of every scene’s files, and the fonts */
  everyScene?: true;
  /** how many pixels the scenes ask of each picture */
  pixelsNeeded?: true;
}

interface Lens {
  id: string;
  label: string;
  needs: Needs;
  /** whether it is opened from elsewhere than the bar */
  isAside?: true;
}

/** The lenses in the order of the bar. Where the code of each is loaded from stands in `workbench/lens-views.tsx`. */
export const LENSES = [
  { id: 'screens', label: 'screens', needs: {} },
  { id: 'fits', label: 'fits', needs: {} },
  { id: 'findings', label: 'findings', needs: {} },
  { id: 'launch', label: 'launch', needs: { everyScene: true } },
  { id: 'sizes', label: 'sizes', needs: { pixelsNeeded: true } },
  { id: 'ship', label: 'ship', needs: {} },
  { id: 'template', label: 'template', needs: {}, isAside: true },
  { id: 'sets', label: 'screens and sets', needs: {}, isAside: true },
] as const satisfies readonly Lens[];

export type LensId = (typeof LENSES)[number]['id'];
export const LENS_IDS: readonly LensId[] = LENSES.map((l) => l.id);

export const needsOf = (id: LensId): Needs => LENSES.find((l) => l.id === id)!.needs;

/** What a lens is called on the page. */
export const labelOf = (id: LensId): string => LENSES.find((l) => l.id === id)!.label;

/** The lenses that are opened from the bar. */
export const BAR_LENSES = LENSES.filter((l) => !('isAside' in l));
