/// <reference lib="webworker" />
import * as Comlink from 'comlink';
import { casesOf, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES } from '@/core/scene/values';
import { summarise, type CaseSummary } from '@/core/survey/summary';
import { surveyCase, type SurveyInput } from '@/core/survey/survey';

let cases: Case[] = [];

const api = {
  /** The screens that every later survey runs over. */
  watch(screens: Screen[]) {
    cases = casesOf(screens, APPEARANCES);
  },
  /** A summary of every case; what is drawn in view is surveyed on the page itself. */
  survey(input: SurveyInput): CaseSummary[] {
    return cases.map((c) => summarise(surveyCase(input, c)));
  },
};

export type SurveyWorker = typeof api;
Comlink.expose(api);
