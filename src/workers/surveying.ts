import { casesOf } from '@/core/screens/cases';
import { countedFor } from '@/core/icons/slots';
import type { Project } from '@/core/project/project';
import type { Screen } from '@/core/screens/screen';
import { APPEARANCES } from '@/core/values/values';
import type { Needed } from '@/core/survey/needed';
import { pixelsNeeded } from '@/core/survey/needed';
import { summarise, type CaseSummary } from '@/core/solve/summary';
import { findingsOf, withParts, type Judged, type SceneFinding } from '@/core/findings/scene';
import { markOf, type Mark } from '@/core/solve/mark';
import { surveyAgain, surveyRunning } from '@/core/survey/again';
import { inputOf, memory, type Documented } from './memory';

/** What a survey of everything says. */
export interface SceneSurvey {
  summaries: CaseSummary[];
  /** of the background, on the cases that show one */
  marks: Mark[];
}

/** What of a project says which cases count. */
export type Counting = Pick<Project, 'ratios' | 'iconSets'>;

/** How far a survey is: files of the scene are read, then cases are measured. */
export interface SurveyProgress {
  doing: 'reading' | 'measuring';
  /** so many files, or cases, are through */
  done: number;
  of: number;
}

/** It is said how far a survey is each time so many cases more are through. */
const COUNTED_EACH = 50;

/** What the worker says of all cases of a scene, again with each change. */
export const surveying = {
  /** The screens that every later survey runs over. */
  watch(screens: Screen[]) {
    memory.screens = screens;
    memory.all = casesOf(screens, APPEARANCES);
    memory.earlier = null;
    memory.launchKept = null;
  },
  /**
   * A summary of every case; what is drawn in view is surveyed on the page itself.
   * @param onProgress hears now and then how far it is
   */
  async survey(
    asked: Documented,
    project: Counting,
    onProgress?: (progress: SurveyProgress) => void,
  ): Promise<SceneSurvey> {
    const input = await inputOf(asked, [], (done, of) => onProgress?.({ doing: 'reading', done, of }));
    const cases = countedFor(asked.scene, project, memory.all);
    const marks: Mark[] = [];
    const summaries: CaseSummary[] = [];
    const judged: Judged[] = [];
    memory.earlier = surveyRunning(input, cases, memory.earlier, (result) => {
      const mark = markOf(result, asked.scene);
      if (mark) marks.push(mark);
      summaries.push(summarise(result));
      judged.push({ id: result.id, breaches: result.breaches });
      const done = summaries.length;
      if (done % COUNTED_EACH === 0) onProgress?.({ doing: 'measuring', done, of: cases.length });
    });
    memory.last = { input, cases, judged };
    return { summaries, marks };
  },
  /**
   * What the last survey found wrong, over all cases, with the parts of rules that cause it. Asked for once an edit has
   * ended, so that its survey is worth keeping.
   */
  found(): SceneFinding[] {
    if (!memory.last) return [];
    const { input, cases, judged } = memory.last;
    if (memory.earlier?.input !== input) memory.earlier = surveyAgain(input, cases, memory.earlier);
    return withParts(input, findingsOf(input.scene, judged, cases), cases);
  },
  /** Pixels that each picture needs in these scenes. */
  async needed(asked: Documented[], project: Counting): Promise<Map<string, Needed[]>> {
    const inputs = [];
    for (const one of asked) inputs.push(await inputOf(one));
    return pixelsNeeded(inputs, ({ scene }) => countedFor(scene, project, memory.all));
  },
};
