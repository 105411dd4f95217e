import { countedCases } from '@/core/screens/counted';
import { casesOf } from '@/core/screens/cases';
import { APPEARANCES } from '@/core/values/values';
import type { ReviewProgress } from '@/core/review/review';
import type { SignOff } from '@/core/review/sign-off';
import type { Host } from '../host';
import { gather, goingOn, reviewing, type GoOn, type ToReview } from '../review';
import { comparing } from '../since';
import type { Bytes } from '../sharp';
import { reportLaunch } from './launch';
import { reportProof } from './proof';
import type { Report, ReportedPart } from './report';
import { reportScene, stepsOfScene, type Told } from './scene';

/** A sign-off that a project is compared with, and where its files are taken from. */
export interface Signed {
  signOff: SignOff;
  host: Host;
}

/** The judgement of a project, beside its last sign-off where there is one. */
async function judged(
  wanted: ToReview,
  host: Host,
  outside: Awaited<ReturnType<typeof gather>>,
  signed: Signed | null,
  goOn: GoOn<ReviewProgress>,
): Promise<Pick<Report, 'review' | 'since'>> {
  if (!signed) return { review: (await goingOn(await reviewing(wanted, host, outside), goOn))!, since: null };
  const hosts = { then: signed.host, now: host };
  return (await goingOn(await comparing(signed.signOff, wanted, hosts, outside), goOn))!;
}

/**
 * Judges a project, and says with pictures, causes and mends how it stands.
 * @param onStep hears how far it is, and waits
 * @param signed the sign-off that it is compared with, where there is one
 */
export async function makeReport(
  wanted: ToReview,
  host: Host,
  bytes: Bytes,
  onStep: (progress: ReviewProgress) => Promise<void>,
  signed: Signed | null = null,
): Promise<Report> {
  const { documents, screens } = wanted;
  const goOn = (progress: ReviewProgress) => onStep(progress).then(() => true);
  const outside = await gather(documents, host);
  const { review, since } = await judged(wanted, host, outside, signed, goOn);
  // A drawing wants fonts even where nothing is written.
  const fonts = outside.fonts ?? (await host.fonts([]));
  const of =
    review.scenes.reduce((sum, s) => sum + stepsOfScene(s), 0) +
    review.launches.reduce((sum, l) => sum + l.findings.length, 0);
  let done = 0;
  const told: Told = {
    documents,
    cases: countedCases(casesOf(screens, APPEARANCES), documents.project.ratios),
    outside,
    surfaces: { fonts, bytes },
    onStep: () => onStep({ done: Math.min(++done, of), of, doing: 'drawing what was found' }),
  };
  const scenes: ReportedPart[] = [];
  for (const judged of review.scenes) scenes.push(await reportScene(judged, told));
  const launches: ReportedPart[] = [];
  for (const judged of review.launches) launches.push(await reportLaunch(judged, told));
  const proof = await reportProof(documents, screens, bytes);
  return { review, scenes, launches, proof, since };
}
