/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { casesOf, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES } from '@/core/scene/values';
import type { Needed } from '@/core/pictures/check';
import { pixelsNeeded } from '@/core/survey/needed';
import { summarise, type CaseSummary } from '@/core/survey/summary';
import { loadFonts, type Fonts } from '@/render/fonts';
import { scrimFor, type Scrim } from '@/core/survey/scrim';
import { surveyCase, type Outside, type SurveyInput } from '@/core/survey/survey';
import { filesOfScene } from '@/core/scene/documents';
import { createFilePixels } from './file-pixels';

let cases: Case[] = [];
let fonts: Fonts | null = null;
const pixelsOf = createFilePixels();

/** What the page hands over; fonts and pixels are loaded here. */
export type Documented = Omit<SurveyInput, keyof Outside>;

/** The fonts are only asked for by a scene that has text. */
async function inputOf(asked: Documented): Promise<SurveyInput> {
  const { scene, pictures } = asked;
  const hasText = scene.layers.some((l) => l.kind === 'text');
  const pixels = await pixelsOf(filesOfScene(scene, pictures));
  return { ...asked, fonts: hasText ? (fonts ??= await loadFonts()) : fonts, pixels };
}

const api = {
  /** The screens that every later survey runs over. */
  watch(screens: Screen[]) {
    cases = casesOf(screens, APPEARANCES);
  },
  /** A summary of every case; what is drawn in view is surveyed on the page itself. */
  async survey(asked: Documented): Promise<CaseSummary[]> {
    const input = await inputOf(asked);
    return cases.map((c) => summarise(surveyCase(input, c)));
  },
  /** Pixels that each picture needs in these scenes. */
  async needed(asked: Documented[]): Promise<Map<string, Needed[]>> {
    const inputs = [];
    for (const one of asked) inputs.push(await inputOf(one));
    return pixelsNeeded(inputs, cases);
  },
  /** The least scrim under a layer that is enough on every case. */
  async scrim(asked: Documented, layerId: string, least: number): Promise<Scrim | null> {
    return scrimFor(await inputOf(asked), cases, layerId, least);
  },
};

export type SurveyWorker = typeof api;
Comlink.expose(api);
