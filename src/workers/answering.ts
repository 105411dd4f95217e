import { type Appearance } from '@/core/values/values';
import type { Cut } from '@/core/pictures/picture';
import { tally, type OutcomeCounts } from '@/core/solve/summary';
import { advising, filesTried, type Advice } from '@/core/findings/advise';
import type { Progress } from '@/core/findings/trying';
import { launchAdvising, type LaunchAdvice } from '@/core/launch/advice';
import { launchBecause, type LaunchFinding } from '@/core/launch/findings';
import { because } from '@/core/findings/because';
import { inShort, type InShort } from '@/core/findings/in-short';
import type { SceneFinding } from '@/core/findings/scene';
import type { Reason } from '@/core/explain/reason';
import { applyPatch, type Patch } from '@/core/patch/patch';
import { weightsOf } from '@/core/screens/weights';
import { positionOf, seenParts, type SeenParts } from '@/core/solve/layer';
import type { PositionAnswer } from '@/core/solve/position';
import { stretchesOf, type Across, type Stretch } from '@/core/solve/stretches';
import { tellingCases } from '@/core/solve/telling';
import { distinctCases } from '@/core/screens/likeness';
import { offerScrim, type ScrimOffer } from '@/core/findings/offer-scrim';
import { survey, surveyEach, surveyInput, type CaseResult } from '@/core/survey/survey';
import { filesOfScene, type Documents } from '@/core/project/documents';
import { goingOn, type GoOn } from '@/render/review';
import { askedOf, casesIn, launchAsked, memory } from './memory';
import { newId } from '@/workers/new-id';

/** What can say why it is there. */
type Explained = SceneFinding | LaunchFinding;

export type OutcomesWith = { was: OutcomeCounts; with: (OutcomeCounts | null)[] };

/** What the worker is asked about a scene when somebody wants to know. */
export const answering = {
  /** Why a finding of a scene or of a launch is there, on the case where it is worst. */
  async because(documents: Documents, finding: Explained): Promise<Reason> {
    if (finding.source === 'launch')
      return launchBecause((await launchAsked(documents, finding.in.id))!, finding);
    const { outside } = await askedOf(documents, finding.in.id);
    return because(
      surveyInput(documents, documents.scenes[finding.in.id]!, outside),
      finding,
      casesIn(documents, finding.in.id),
    );
  },
  /** The same in one sentence, of a finding of a scene. @param here a case of it that somebody looks at */
  async inShort(documents: Documents, finding: SceneFinding, here?: string): Promise<InShort> {
    const { outside } = await askedOf(documents, finding.in.id);
    const input = surveyInput(documents, documents.scenes[finding.in.id]!, outside);
    return inShort(input, finding, casesIn(documents, finding.in.id), here);
  },
  /** Where one rule of a layer can hold its picture so that its keep areas are seen on all cases; `null` without any. */
  async position(
    documents: Documents,
    sceneId: string,
    layerId: string,
    rule: number,
  ): Promise<PositionAnswer | null> {
    const { outside } = await askedOf(documents, sceneId);
    const scene = documents.scenes[sceneId]!;
    const layer = scene.layers.find((l) => l.id === layerId);
    if (layer?.kind !== 'picture') return null;
    return positionOf(layer, surveyInput(documents, scene, outside), casesIn(documents, sceneId), rule);
  },
  /** Which parts of a cut of a layer’s picture are seen on how much of the weight; `null` without a picture. */
  async seen(
    documents: Documents,
    sceneId: string,
    layerId: string,
    cut: Cut['cut'],
  ): Promise<SeenParts | null> {
    const { outside } = await askedOf(documents, sceneId);
    const scene = documents.scenes[sceneId]!;
    const layer = scene.layers.find((l) => l.id === layerId);
    if (layer?.kind !== 'picture') return null;
    return seenParts(layer, cut, surveyInput(documents, scene, outside), casesIn(documents, sceneId));
  },
  /** Where along an axis of a free window anything that is wrong comes or goes. */
  async stretches(documents: Documents, sceneId: string, across: Across): Promise<Stretch[]> {
    const { outside } = await askedOf(documents, sceneId);
    return stretchesOf(surveyInput(documents, documents.scenes[sceneId]!, outside), across);
  },
  /** For how much of the weight nothing is wrong with a layer, with each of several patches, 0..1; `null` where it cannot be drawn. */
  async clearFor(
    documents: Documents,
    sceneId: string,
    layerId: string,
    patches: Patch[],
  ): Promise<(number | null)[]> {
    const tried = patches.map((patch) => applyPatch(documents, patch));
    const files = tried.flatMap((after) => filesOfScene(after.scenes[sceneId]!, after.project.pictures));
    const { outside } = await askedOf(documents, sceneId, files);
    const cases = casesIn(documents, sceneId);
    const weights = weightsOf(cases);
    return tried.map((after) => {
      try {
        const input = surveyInput(after, after.scenes[sceneId]!, outside);
        let clear = 0;
        const visit = ({ id, breaches }: CaseResult) => {
          if (!breaches.some((b) => b.subjectId === layerId && !b.accepted)) clear += weights.get(id)!;
        };
        surveyEach(input, cases, visit, memory.earlier);
        return clear;
      } catch {
        return null;
      }
    });
  },
  /** With how many cases the scene ends in each outcome, as it is and with each of several patches; `null` where it cannot be drawn. */
  async outcomesWith(documents: Documents, sceneId: string, patches: Patch[]): Promise<OutcomesWith> {
    const tried = patches.map((patch) => applyPatch(documents, patch));
    const files = tried.flatMap((after) => filesOfScene(after.scenes[sceneId]!, after.project.pictures));
    const { outside } = await askedOf(documents, sceneId, files);
    const cases = casesIn(documents, sceneId);
    const tallyOf = (of: Documents) =>
      tally(survey(surveyInput(of, of.scenes[sceneId]!, outside), cases, memory.earlier));
    const drawn = (of: Documents) => {
      try {
        return tallyOf(of);
      } catch {
        return null;
      }
    };
    return { was: tallyOf(documents), with: tried.map(drawn) };
  },
  /** A few cases that show the extremes of every measure. */
  async telling(
    documents: Documents,
    sceneId: string,
    appearance: Appearance,
    most: number,
  ): Promise<string[]> {
    const { outside } = await askedOf(documents, sceneId);
    const here = distinctCases(casesIn(documents, sceneId).filter((c) => c.appearance === appearance)).map(
      (c) => c.shown,
    );
    const results = survey(surveyInput(documents, documents.scenes[sceneId]!, outside), here);
    return tellingCases(here, results, most).map((c) => c.id);
  },
  /**
   * What would mend a finding of a scene, tried on all cases.
   * @param goOn hears how far it is, and says whether to go on; `null` is the answer where not
   */
  async advise(documents: Documents, finding: SceneFinding, goOn: GoOn<Progress>): Promise<Advice[] | null> {
    const files = filesTried(documents, finding.in.id, finding);
    return goingOn(advising(await askedOf(documents, finding.in.id, files), finding), goOn);
  },
  /** What would mend a finding of a launch, likewise. */
  async launchAdvice(
    documents: Documents,
    finding: LaunchFinding,
    goOn: GoOn<Progress>,
  ): Promise<LaunchAdvice[] | null> {
    const asked = await launchAsked(documents, finding.in.id);
    return asked && goingOn(launchAdvising(asked, finding, newId), goOn);
  },
  /** The least scrim under a layer that is enough on every case, tried there; `null` where none helps. */
  async scrim(
    documents: Documents,
    sceneId: string,
    layerId: string,
    least: number,
  ): Promise<ScrimOffer | null> {
    return offerScrim(await askedOf(documents, sceneId), layerId, least);
  },
};
