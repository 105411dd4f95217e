import { labelOf, type LensId } from '../state/lenses';

/** What a page of a project is called: “Winter splash · fits · Larkmoor Ferries · Coulee”. */
export const titleOf = (project: string, scene: string | undefined, lens: LensId): string =>
  [scene, labelOf(lens), project, 'Coulee'].filter(Boolean).join(' · ');
