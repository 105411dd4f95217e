import { statistics } from '@/formats/api/files';
import { addressOf } from '@/formats/api/operation';
import type { Ink } from '@/core/pixels/ink';
import type { Documents } from '@/core/project/documents';
import type { ReviewProgress } from '@/core/review/review';
import type { Review } from '@/core/review/schema';
import type { Host } from '@/render/host';
import { goingOn, reviewing, type GoOn } from '@/render/review';
import { fontsWith, memory, pixelsOf } from './memory';

/** Where the ink of a file lies, as the server says it; `null` for a file without any, or of which it can say nothing. */
async function inkOf(hash: string): Promise<Ink | null> {
  const response = await fetch(addressOf(statistics, { hash }));
  if (response.status === 404 || response.status === 410) return null;
  if (!response.ok) throw new Error(`The ink of ${hash}: ${response.status}`);
  return statistics.answer.json.parse(await response.json()).ink;
}

/** The server, on the other side of HTTP. */
const httpHost: Host = {
  pixels: pixelsOf,
  ink: async (hashes) => {
    const all = await Promise.all(hashes.map(async (hash) => [hash, await inkOf(hash)] as const));
    return new Map(all.flatMap(([hash, ink]) => (ink ? [[hash, ink] as const] : [])));
  },
  fonts: fontsWith,
};

/** What the worker says of a whole project. */
export const reviewingHere = {
  /**
   * The review of a project as it stands on the page.
   * @param revision that was saved last
   * @param goOn hears how far it is, and says whether to go on; `null` is the answer where not
   */
  async review(documents: Documents, revision: number, goOn: GoOn<ReviewProgress>): Promise<Review | null> {
    return goingOn(await reviewing({ documents, revision, screens: memory.screens }, httpHost), goOn);
  },
};
