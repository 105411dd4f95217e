/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { casesOf, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES } from '@/core/scene/values';
import type { Needed } from '@/core/pictures/check';
import { pixelsNeeded } from '@/core/survey/needed';
import { summarise, type CaseSummary } from '@/core/survey/summary';
import { loadFonts, type Fonts } from '@/render/fonts';
import { surveyCase, type SurveyInput } from '@/core/survey/survey';

let cases: Case[] = [];
let fonts: Fonts | null = null;

/** The fonts are only asked for by a scene that has text. */
const fontsFor = async ({ scene }: Omit<SurveyInput, 'fonts'>) =>
  scene.layers.some((l) => l.kind === 'text') ? (fonts ??= await loadFonts()) : fonts;

const api = {
  /** The screens that every later survey runs over. */
  watch(screens: Screen[]) {
    cases = casesOf(screens, APPEARANCES);
  },
  /** A summary of every case; what is drawn in view is surveyed on the page itself. */
  async survey(asked: Omit<SurveyInput, 'fonts'>): Promise<CaseSummary[]> {
    const input = { ...asked, fonts: await fontsFor(asked) };
    return cases.map((c) => summarise(surveyCase(input, c)));
  },
  /** Pixels that each picture needs in these scenes. */
  async needed(asked: Omit<SurveyInput, 'fonts'>[]): Promise<Map<string, Needed[]>> {
    const inputs = [];
    for (const one of asked) inputs.push({ ...one, fonts: await fontsFor(one) });
    return pixelsNeeded(inputs, cases);
  },
};

export type SurveyWorker = typeof api;
Comlink.expose(api);
