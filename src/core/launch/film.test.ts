import fc from 'fast-check';
import { pictureOf, SCREENS, UPRIGHT } from '../testing/scenes';
import { demoDocuments } from '../../../demo/documents';
import { Documents } from '../project/documents';
import { CHECKLIST } from './checklist';
import { lightOnly } from './dark';
import { coverageOf, Launch, stagesOn, type Stage } from '../project/launch';
import { newLaunch } from './new';
import { createLaunchSurvey, launchIn } from './survey';
import { framesOf, shownAt, timelineOf } from './timeline';
import { halfWide } from '../testing/fonts';

const renditions = (id: string) =>
  pictureOf(id, { widthPx: 1200, heightPx: 900, density: 3 }).cuts[0]!.renditions;
const documents = demoDocuments(renditions);
const launch = launchIn(documents, 'launch')!;

describe('the pictures of a film', () => {
  it('follow one another without a gap, and hold still between them where nothing is fading', () => {
    const fade = fc.record({
      durationMs: fc.nat(1500),
      holdMs: fc.nat(2000),
      enter: fc.constantFrom('fade', 'none'),
    });
    fc.assert(
      fc.property(fc.array(fade, { minLength: 1, maxLength: 4 }), fc.nat(1000), (list, systemMs) => {
        const stages = list.map((s, i) => ({ ...launch.stages[1]!, ...s, id: `${i}` }) as Stage);
        const of = Launch.parse({ ...launch, targets: [], stages, systemMs });
        const plain = stagesOn(of, UPRIGHT.screen);
        const timeline = timelineOf(of, plain);
        const frames = framesOf(timeline);
        let t = 0;
        for (const frame of frames) {
          expect(frame.t).toBeCloseTo(t, 6);
          expect(frame.ms).toBeGreaterThan(0);
          t += frame.ms;
          if (frame.ms <= 40 + 1e-6) continue;
          // What stands for longer than a step of a fade is the same all the while.
          const end = Math.max(frame.t, Math.min(t, timeline.readyMs + 1000) - 1e-3);
          expect(shownAt(timeline, plain, end)).toEqual(shownAt(timeline, plain, frame.t));
        }
        expect(t).toBeGreaterThanOrEqual(timeline.readyMs);
      }),
    );
  });
});

describe('a launch in its project', () => {
  it('keeps the scenes that it shows', () => {
    expect(Documents.safeParse(documents).success).toBe(true);
    const { 'sign-in': _gone, ...scenes } = documents.scenes;
    const project = { ...documents.project, scenes: Object.keys(scenes) };
    const { error } = Documents.safeParse({ project, scenes });
    expect(error?.issues.map((i) => i.message)).toEqual([
      'A scene that the launch “Launch” shows cannot go: “sign-in”.',
    ]);
  });

  it('claims every screen of the catalogue once in the demo', () => {
    expect(coverageOf(launch, SCREENS)).toEqual({ claimedTwice: [], unclaimed: [] });
  });

  it('begins with the scenes in the order in which they come', () => {
    let n = 0;
    const begun = newLaunch(Object.values(documents.scenes), () => `id-${n++}`);
    expect(Launch.safeParse(begun).success).toBe(true);
    expect(begun.stages.map((s) => s.scene)).toEqual(['system-window', 'winter-splash', 'sign-in']);
    expect(begun.stages.map((s) => s.system)).toEqual(['flat', 'app', 'app']);
  });

  it('is surveyed as it is drawn, and refused where a scene is not there', () => {
    const stages = createLaunchSurvey(documents, launch, { fonts: halfWide }).on(UPRIGHT);
    expect(stages.map((s) => s.stage.scene)).toEqual(['system-window', 'winter-splash', 'sign-in']);
    expect(stages[0]!.stage.system).toBe('layout');
    for (const { result } of stages) expect(result!.breaches).toEqual([]);
    const astray = { ...launch, stages: [{ ...launch.stages[1]!, scene: 'nowhere' }] };
    expect(() => createLaunchSurvey(documents, astray, { fonts: halfWide }).on(UPRIGHT)).toThrow(/“nowhere”/);
  });

  it('says which layers have nothing for dark', () => {
    const { pictures, named } = documents.project;
    // The ground has a named colour with a dark half; none of these pictures has a dark file.
    expect(lightOnly(documents.scenes['winter-splash']!, pictures, named)).toEqual([
      'Harbour',
      'Emblem',
      'Wordmark',
    ]);
    expect(lightOnly(documents.scenes['system-window']!, pictures, named)).toContain('Ground');
  });

  it('comes with a list of what to look at, each with its reason', () => {
    expect(new Set(CHECKLIST.map((c) => c.id)).size).toBe(CHECKLIST.length);
    for (const { what, why } of CHECKLIST) expect(Math.min(what.length, why.length)).toBeGreaterThan(20);
  });
});
