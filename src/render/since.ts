import { PRODUCT_VERSION } from '@/core/review/version';
import type { Review } from '@/core/review/schema';
import type { ReviewProgress } from '@/core/review/review';
import type { SignOff } from '@/core/review/sign-off';
import { since, type SinceInput } from '@/core/since/since';
import type { Since } from '@/core/since/schema';
import type { Host } from './host';
import { gather, reviewing, type ToReview } from './review';

type Gathered = Awaited<ReturnType<typeof gather>>;

/** What is known of two states together: the bytes under a hash are the same in both. */
const together = (a: Gathered, b: Gathered): Gathered => ({
  fonts: b.fonts ?? a.fonts,
  pixels: new Map([...a.pixels, ...b.pixels]),
});

/** A project beside a sign-off of it, judged. */
export interface Beside {
  review: Review;
  since: Since;
}

function* beside(
  then: Generator<ReviewProgress, Review> | Review,
  now: Generator<ReviewProgress, Review>,
  input: Omit<SinceInput, 'before' | 'review'>,
): Generator<ReviewProgress, Beside> {
  const before = 'next' in then ? yield* then : then;
  const review = yield* now;
  return { review, since: yield* since({ ...input, before, review }) };
}

/**
 * Loads what a comparison with a sign-off needs. What another version of the product judged is judged again, so that only what
 * was changed in the project differs.
 * @param hosts of the files of then and of now
 * @param gathered the pixels and fonts of now, where they are there already
 * @returns its steps, which say how far it is
 */
export async function comparing(
  signOff: SignOff,
  now: ToReview,
  hosts: { then: Host; now: Host },
  gathered?: Gathered,
): Promise<Generator<ReviewProgress, Beside>> {
  const { documents, revision, screens, review, version } = signOff;
  const ofNow = gathered ?? (await gather(now.documents, hosts.now));
  const outside = together(await gather(documents, hosts.then), ofNow);
  const isOfNow = review !== null && version === PRODUCT_VERSION;
  const then = isOfNow ? review : await reviewing({ documents, revision, screens }, hosts.then, outside);
  const steps = await reviewing(now, hosts.now, outside);
  return beside(then, steps, { signOff, now, outside });
}
