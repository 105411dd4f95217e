import { countedCases } from '@/core/screens/counted';
import { casesOf } from '@/core/screens/cases';
import { APPEARANCES } from '@/core/values/values';
import type { ReviewProgress } from '@/core/review/review';
import type { Host } from '../host';
import { gather, goingOn, reviewing, type ToReview } from '../review';
import type { Bytes } from '../sharp';
import { reportLaunch } from './launch';
import type { Report, ReportedPart } from './report';
import { reportScene, stepsOfScene, type Told } from './scene';

/**
 * Judges a project, and says with pictures, causes and mends how it stands.
 * @param onStep hears how far it is, and waits
 */
export async function makeReport(
  wanted: ToReview,
  host: Host,
  bytes: Bytes,
  onStep: (progress: ReviewProgress) => Promise<void>,
): Promise<Report> {
  const { documents, screens } = wanted;
  const goOn = (progress: ReviewProgress) => onStep(progress).then(() => true);
  const outside = await gather(documents, host);
  const review = (await goingOn(await reviewing(wanted, host, outside), goOn))!;
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
  return { review, scenes, launches };
}
