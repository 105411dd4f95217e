import type { DerivationAsked } from '@/core/pictures/derive';
import type { Rendition } from '@/core/pictures/picture';
import { derive } from '../api';
import { fileOf } from '@/core/project/place-picture';

/**
 * Has a file made of a master on the server.
 * @param density px per lu that it is for @throws RequestProblem when it cannot be made
 */
export async function makeRendition(
  project: string,
  master: Rendition,
  density: number,
  asked: DerivationAsked,
): Promise<Rendition> {
  const file = fileOf(await derive(project, asked));
  return { ...file, appearance: master.appearance, density, madeFrom: master.hash };
}
