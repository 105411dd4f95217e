/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { casesOf, type Case } from '@/core/screens/cases';
import { countedCases, type Ratios } from '@/core/screens/counted';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES, type Appearance } from '@/core/values/values';
import type { Needed } from '@/core/pictures/check';
import type { Cut } from '@/core/pictures/picture';
import { pixelsNeeded } from '@/core/survey/needed';
import { summarise, tally, type CaseSummary, type Tally } from '@/core/solve/summary';
import { loadFonts, withImported, type Fonts } from '@/render/fonts';
import { advising, filesTried, type Advice, type Asked, type Progress } from '@/core/findings/advise';
import { because } from '@/core/findings/because';
import { causesOf, type Cause } from '@/core/findings/causes';
import { findingsOf, type Finding, type Judged } from '@/core/findings/finding';
import type { Reason } from '@/core/explain/reason';
import { findInLaunch, type LaunchAsked, type LaunchFinding } from '@/core/launch/findings';
import { launchAdvice, type LaunchAdvice } from '@/core/launch/advice';
import type { LaunchKept } from '@/core/launch/faults';
import { launchIn } from '@/core/launch/survey';
import { windowsAllow } from '@/core/launch/windows';
import { applyPatch, type Patch } from '@/core/patch/patch';
import { weightsOf } from '@/core/screens/weights';
import { positionOf, seenParts, type SeenParts } from '@/core/solve/layer';
import type { PositionAnswer } from '@/core/solve/position';
import { stretchesOf, type Across, type Stretch } from '@/core/solve/stretches';
import { tellingCases } from '@/core/solve/telling';
import { distinctCases } from '@/core/screens/likeness';
import { markOf, type Mark } from '@/core/solve/mark';
import { offerScrim, type ScrimOffer } from '@/core/findings/offer-scrim';
import { surveyAgain, surveyRunning } from '@/core/survey/again';
import { samePixels, type Earlier } from '@/core/survey/earlier';
import {
  survey,
  surveyEach,
  surveyInput,
  type CaseResult,
  type Outside,
  type SurveyInput,
} from '@/core/survey/survey';
import { filesOfScene, fontsOfScene, type Documents } from '@/core/project/documents';
import { createFilePixels } from './file-pixels';

/** What a survey of everything says. */
export interface Surveyed {
  summaries: CaseSummary[];
  /** of the background, on the cases that show one */
  marks: Mark[];
}

/** What is wrong with a scene, and where it comes from. */
export interface Found {
  findings: Finding[];
  causes: Cause[];
}

let all: Case[] = [];
/** what the last survey of everything was asked, of which cases, and which limits it found broken */
let last: { input: SurveyInput; cases: Case[]; judged: Judged[] } | null = null;
/** the last survey of everything that was not in the middle of an edit: the next takes over what has not been reached */
let earlier: Earlier | null = null;
/** the same of a launch, with the pixels that it was looked at with */
let launchKept: { kept: LaunchKept; pixels: Outside['pixels'] } | null = null;
let fonts: Fonts | null = null;
const pixelsOf = createFilePixels();

/** It is said how far a survey is each time so many cases more are through. */
const COUNTED_EACH = 50;

export type OutcomesWith = { was: Tally; with: (Tally | null)[] };

/** What the page hands over; fonts and pixels are loaded here. */
export type Documented = Omit<SurveyInput, keyof Outside>;

/** The fonts, with imported ones: the same object for as long as no new one is asked for. */
const fontsWith = async (hashes: readonly string[]): Promise<Fonts> =>
  (fonts = await withImported(fonts ?? (await loadFonts()), hashes));

/** The fonts are only asked for by a scene that has text. @param more imported ones that it does not write with */
async function inputOf(asked: Documented, more: readonly string[] = []): Promise<SurveyInput> {
  const { scene, pictures } = asked;
  const hasText = scene.layers.some((l) => l.kind === 'text');
  const pixels = await pixelsOf(filesOfScene(scene, pictures));
  return { ...asked, fonts: hasText ? await fontsWith([...fontsOfScene(scene), ...more]) : fonts, pixels };
}

/** The cases that a project counts. */
const casesIn = ({ project }: Documents) => countedCases(all, project.ratios);

const fontsOfProject = ({ project }: Documents) => (project.fonts ?? []).map((f) => f.hash);

/** @param more files whose pixels are needed beside those of the scene, for what it is tried with */
async function askedOf(documents: Documents, sceneId: string, more: readonly string[] = []): Promise<Asked> {
  // Whatever is loaded is handed over from then on.
  await pixelsOf(more);
  const { fonts: known, pixels } = await inputOf(
    surveyInput(documents, documents.scenes[sceneId]!, { fonts: null }),
    // Mends try other fonts.
    fontsOfProject(documents),
  );
  return {
    documents,
    sceneId,
    cases: casesIn(documents),
    outside: { fonts: known, pixels },
    newId: () => crypto.randomUUID(),
    earlier,
    allows: windowsAllow(documents, sceneId, [...new Set(all.map((c) => c.screen))]),
  };
}

async function launchAsked(documents: Documents, launchId: string): Promise<LaunchAsked | null> {
  const launch = launchIn(documents, launchId);
  if (!launch) return null;
  const scenes = Object.values(documents.scenes);
  const hashes = scenes.flatMap((s) => filesOfScene(s, documents.project.pictures));
  const pixels = await pixelsOf([...new Set(hashes)]);
  return {
    documents,
    launch,
    cases: casesIn(documents),
    outside: { fonts: await fontsWith(fontsOfProject(documents)), pixels },
    earlier: launchKept && samePixels(launchKept.pixels, pixels) ? launchKept.kept : null,
  };
}

const api = {
  /** The screens that every later survey runs over. */
  watch(screens: Screen[]) {
    all = casesOf(screens, APPEARANCES);
    earlier = null;
    launchKept = null;
  },
  /**
   * A summary of every case; what is drawn in view is surveyed on the page itself.
   * @param onCount hears now and then how many cases it has been through
   */
  async survey(asked: Documented, ratios?: Ratios, onCount?: (counted: number) => void): Promise<Surveyed> {
    const input = await inputOf(asked);
    const cases = countedCases(all, ratios);
    const marks: Mark[] = [];
    const summaries: CaseSummary[] = [];
    const judged: Judged[] = [];
    earlier = surveyRunning(input, cases, earlier, (result) => {
      const mark = markOf(result, asked.scene);
      if (mark) marks.push(mark);
      summaries.push(summarise(result));
      judged.push({ id: result.id, breaches: result.breaches });
      if (summaries.length % COUNTED_EACH === 0) onCount?.(summaries.length);
    });
    last = { input, cases, judged };
    return { summaries, marks };
  },
  /**
   * What the last survey found wrong, over all cases, and the parts of rules that cause it. Asked for once an edit has
   * ended, so that its survey is worth keeping.
   */
  found(): Found {
    if (!last) return { findings: [], causes: [] };
    const { input, cases, judged } = last;
    if (earlier?.input !== input) earlier = surveyAgain(input, cases, earlier);
    const findings = findingsOf(judged, cases);
    return { findings, causes: causesOf(input, findings, cases) };
  },
  /** Why a finding is there, on the case where it is worst. */
  async because(documents: Documents, sceneId: string, finding: Finding): Promise<Reason> {
    const { outside } = await askedOf(documents, sceneId);
    return because(surveyInput(documents, documents.scenes[sceneId]!, outside), finding, all);
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
    return positionOf(layer, surveyInput(documents, scene, outside), casesIn(documents), rule);
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
    return seenParts(layer, cut, surveyInput(documents, scene, outside), casesIn(documents));
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
    const cases = casesIn(documents);
    const weights = weightsOf(cases);
    return tried.map((after) => {
      try {
        const input = surveyInput(after, after.scenes[sceneId]!, outside);
        let clear = 0;
        const visit = ({ id, breaches }: CaseResult) => {
          if (!breaches.some((b) => b.layerId === layerId && !b.accepted)) clear += weights.get(id)!;
        };
        surveyEach(input, cases, visit, earlier);
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
    const cases = casesIn(documents);
    const tallyOf = (of: Documents) =>
      tally(survey(surveyInput(of, of.scenes[sceneId]!, outside), cases, earlier));
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
    const here = distinctCases(casesIn(documents).filter((c) => c.appearance === appearance)).map(
      (c) => c.shown,
    );
    const results = survey(surveyInput(documents, documents.scenes[sceneId]!, outside), here);
    return tellingCases(here, results, most).map((c) => c.id);
  },
  /**
   * What would mend a finding, tried on all cases.
   * @param goOn hears how far it is, and says whether to go on; `null` is the answer where not
   */
  async advise(
    documents: Documents,
    sceneId: string,
    finding: Finding,
    goOn: (progress: Progress) => Promise<boolean>,
  ): Promise<Advice[] | null> {
    const files = filesTried(documents, sceneId, finding);
    const trying = advising(await askedOf(documents, sceneId, files), finding);
    for (;;) {
      const { done, value } = trying.next();
      if (done) return value;
      if (!(await goOn(value))) return null;
    }
  },
  /** What is wrong with a launch, over all cases. */
  async launchFindings(documents: Documents, launchId: string): Promise<LaunchFinding[]> {
    const asked = await launchAsked(documents, launchId);
    if (!asked) return [];
    const { findings, kept } = findInLaunch(asked);
    launchKept = { kept, pixels: asked.outside.pixels };
    return findings;
  },
  /** What would mend a finding of a launch, tried on all cases. */
  async launchAdvice(
    documents: Documents,
    launchId: string,
    finding: LaunchFinding,
  ): Promise<LaunchAdvice[]> {
    const asked = await launchAsked(documents, launchId);
    return asked ? launchAdvice(asked, finding, () => crypto.randomUUID()) : [];
  },
  /** Pixels that each picture needs in these scenes. */
  async needed(asked: Documented[], ratios?: Ratios): Promise<Map<string, Needed[]>> {
    const inputs = [];
    for (const one of asked) inputs.push(await inputOf(one));
    return pixelsNeeded(inputs, countedCases(all, ratios));
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

export type SurveyWorker = typeof api;
Comlink.expose(api);
