import fc from 'fast-check';
import { anyLaunch, launchOf, stage } from '../testing/launches';
import { UPRIGHT } from '../testing/scenes';
import { stagesOn, type Launch } from '../project/launch';
import { STARTS, framesOf, timelineOf, timesOf } from './timeline';
import { stageSentence, stageText } from './stage-sentence';

const TIME = String.raw`(\d+(?:\.\d+)?) (ms|s)`;
const msIn = (text: string, form: string): number | null => {
  const found = new RegExp(form + TIME).exec(text);
  return found && Math.round(Number(found[1]) * (found[2] === 's' ? 1000 : 1));
};

/** When a stage goes, as somebody works it out who reads its sentence and nothing else. */
function endAsRead(sentence: string, start: number, loadingMs: number): number {
  if (sentence.endsWith(', and stays.')) return Infinity;
  const fade = /comes in by a fade/.test(sentence) ? msIn(sentence, 'by a fade of ')! : 0;
  const answers = msIn(sentence, 'until the app answers after ');
  const held = msIn(sentence, answers === null ? ', stays ' : 'until it has been there for ');
  const loads = sentence.includes('or until all is loaded');
  return Math.max(answers ?? 0, loads ? loadingMs : 0, held === null ? start : start + fade + held);
}

test('what a stage’s sentence says is what is played: the bar, the film and its pictures end where it says', () => {
  fc.assert(
    fc.property(anyLaunch, fc.constantFrom(...STARTS), (launch, start) => {
      const stages = stagesOn(launch, UPRIGHT.screen);
      const times = timesOf(launch, start);
      const timeline = timelineOf(launch, stages, start);
      let at = 0;
      launch.stages.forEach((_, i) => {
        const sentence = stageText(stageSentence(launch, i, times));
        const end = endAsRead(sentence, at, times.loadingMs);
        expect([sentence, timeline.spans[i]!.start, timeline.spans[i]!.end]).toEqual([sentence, at, end]);
        at = end;
      });
      // No picture of a film stands over the end of a stage.
      const ends = timeline.spans.map((s) => s.end).filter(Number.isFinite);
      for (const { t, ms: length } of framesOf(timeline))
        for (const end of ends) expect(t < end - 1e-6 && t + length > end + 1e-6).toBe(false);
    }),
    { numRuns: 400 },
  );
});

test('a sentence says what a first stage waits for, also where several come after it', () => {
  const said = (launch: Launch) => launch.stages.map((_, i) => stageText(stageSentence(launch, i)));
  const flat = stage({ system: 'flat' });
  expect(said(launchOf([flat, stage()]))).toEqual([
    'Drawn by a flat window of the system, until the app answers after 400 ms or until all is loaded, whichever is later.',
    'Drawn by the app, comes in at once, and stays.',
  ]);
  expect(said(launchOf([{ ...flat, waits: true }, stage({ holdMs: 700 }), stage()]))[0]).toBe(
    'Drawn by a flat window of the system, until the app answers after 400 ms or until all is loaded, whichever is later.',
  );
  expect(said(launchOf([flat, stage({ holdMs: 700 }), stage()])).slice(0, 2)).toEqual([
    'Drawn by a flat window of the system, until the app answers after 400 ms.',
    'Drawn by the app, comes in at once, stays 700 ms or until all is loaded, whichever is later.',
  ]);
});
