import { easingOf } from '@/core/project/easing';
import type { Reason } from '@/core/explain/reason';
import { launchBecause, launchFindings, type LaunchAsked, type LaunchFinding } from '@/core/launch/findings';
import { launchAdvice, type LaunchAdvice } from '@/core/launch/advice';
import type { Documents } from '@/core/project/documents';
import { applyPatch } from '@/core/patch/patch';
import { tellingCases } from '@/core/solve/telling';
import { survey, surveyInput } from '@/core/survey/survey';
import { demo } from './testing/demo';
import { ownStore } from './testing/store';

ownStore('the demo');

const MINUTES = 60_000;

/** What people see | the rule that finds it | the stage it is on | what it is about | why, in words */
const ROWS: readonly (readonly [string, LaunchFinding['rule'], number, string, RegExp])[] = [
  [
    'white flash, then the splash',
    'flash',
    0,
    '',
    /System window ends in #f\w+ on average.* is nothing but its ground/,
  ],
  [
    'the logo jumps',
    'jump',
    0,
    'emblem',
    /Down: System window has it .*; Winter splash has it .*6 % above centre in the safe area/,
  ],
  [
    'the icon’s corners are cut',
    'icon-masked',
    0,
    'emblem',
    /shows a circle of 192 lu.*without room for the circle/,
  ],
  [
    'people wait',
    'held-too-long',
    1,
    '',
    /loaded 1.4 s after the tap.*from 400 ms to 3.5 s: 2.1 s of that after the loading/,
  ],
];

/** The launch of the demo over a few cases that differ most, which is quick, or over all. */
async function launch(most: number) {
  const { documents, cases, asked } = await demo();
  const here = asked('winter-splash');
  const input = surveyInput(documents, documents.scenes['winter-splash']!, here.outside);
  const some = most < cases.length ? tellingCases(cases, survey(input, cases), most) : cases;
  const of = (now: Documents): LaunchAsked => ({
    documents: now,
    launch: now.project.launches![0]!,
    cases: some,
    outside: here.outside,
  });
  return { documents, of };
}

const sayWhy = (why: Reason) => why.because.map((b) => b.text).join(' ');

describe('the launch of the demo', () => {
  it(
    'shows what goes wrong from the tap to the first screen, each with its cause',
    async () => {
      const { documents, of } = await launch(1e9);
      const found = launchFindings(of(documents));
      for (const [what, rule, stage, about, why] of ROWS) {
        const finding = found.find((f) => f.rule === rule && f.stage === stage && f.about === about);
        if (!finding) throw new Error(`${what}: not found`);
        expect(finding.outcome).toBe('fail');
        expect(`${what}: ${sayWhy(launchBecause(of(documents), finding))}`).toMatch(why);
        expect(finding.worst.value).toBe(Math.max(...finding.cases.map((o) => o.value)));
      }
      // The icon is masked where the system does so, and nowhere else.
      const masked = found.find((f) => f.rule === 'icon-masked')!;
      expect(masked.cases.length).toBeLessThan(of(documents).cases.length);
    },
    5 * MINUTES,
  );

  it(
    'has nothing wrong any more after mends that were offered, and those alone',
    async () => {
      const { documents, of } = await launch(40);
      let now = documents;
      let n = 0;
      for (let round = 0; round < 20; round++) {
        let mend: LaunchAdvice | undefined;
        for (const f of launchFindings(of(now))) {
          // What needs a file is done on the server, which is tested there.
          mend = launchAdvice(of(now), f, () => `new-${n++}`).find((m) => !m.make);
          if (mend) break;
        }
        if (!mend) break;
        now = applyPatch(now, mend.patch);
      }
      expect(launchFindings(of(now)).map((f) => `${f.id} on ${f.cases.length}: ${f.said}`)).toEqual([]);
      for (const stage of now.project.launches![0]!.stages) expect(easingOf(stage.easing)).not.toBeNull();
    },
    12 * MINUTES,
  );
});
