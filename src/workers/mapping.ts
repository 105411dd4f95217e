import { nearestFailing, type Near } from '@/core/map/nearest';
import { coarseMap, mappingSizes, type SizeMap, type ToMap } from '@/core/map/size-map';
import type { Documents } from '@/core/project/documents';
import { surveyInput } from '@/core/survey/survey';
import type { Appearance } from '@/core/values/values';
import { goingOn, type GoOn } from '@/render/review';
import { askedOf, casesIn } from './memory';

async function inputOf(documents: Documents, sceneId: string) {
  const { outside } = await askedOf(documents, sceneId);
  return surveyInput(documents, documents.scenes[sceneId]!, outside);
}

/** What the worker is asked about windows of all sizes. */
export const mapping = {
  /** The map as it is found at once, while something changes. */
  async coarseMap(documents: Documents, sceneId: string, asked: ToMap): Promise<SizeMap> {
    return coarseMap(await inputOf(documents, sceneId), asked);
  },
  /**
   * The map, as fine as it gets.
   * @param goOn hears each map that is better than the one before, and says whether to go on; `null` is the answer where not
   */
  async mapSizes(
    documents: Documents,
    sceneId: string,
    asked: ToMap,
    goOn: GoOn<SizeMap | null>,
  ): Promise<SizeMap | null> {
    return goingOn(mappingSizes(await inputOf(documents, sceneId), asked), goOn);
  },
  /** The screens that a small change of size makes fail. */
  async nearest(
    documents: Documents,
    sceneId: string,
    { appearance, most }: { appearance: Appearance; most: number },
    goOn: GoOn<null>,
  ): Promise<Near[] | null> {
    const cases = casesIn(documents, sceneId).filter((c) => c.appearance === appearance);
    return goingOn(nearestFailing(await inputOf(documents, sceneId), cases, most), goOn);
  },
};
