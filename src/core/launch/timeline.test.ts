import fc from 'fast-check';
import { launchOf, stage } from '../testing/launches';
import { inputOf, UPRIGHT } from '../testing/scenes';
import { demo } from '../../../demo/testing';
import { easingOf, EASING_KEYWORDS, fullAt } from '../project/easing';
import { createFaults } from './faults';
import { stagesOn, type Launch } from '../project/launch';
import { momentsOf, shownAt, timelineOf } from './timeline';

const spansOf = (launch: Launch, start?: 'cold' | 'warm') =>
  timelineOf(launch, stagesOn(launch, UPRIGHT.screen), start).spans.map((s) => [s.start, s.end]);
const fading = stage({ enter: 'fade', durationMs: 500, holdMs: 300 });

describe('the timeline', () => {
  it('leaves the wait for the loading with its stage when others come after it', () => {
    const waiting = { ...fading, waits: true };
    const spans = spansOf(launchOf([stage(), waiting, stage({ holdMs: 700 }), stage()]));
    // 500 of fade and 300 of hold from 400 on, until all is loaded at 1400; then 700.
    expect(spans.map(([, end]) => end)).toEqual([400, 1400, 2100, Infinity]);
    const plain = spansOf(launchOf([stage(), fading, stage({ holdMs: 100 }), stage()]));
    expect(plain.map(([, end]) => end)).toEqual([400, 1200, 1400, Infinity]);
  });

  it('counts the wait over all stages after the loading', () => {
    // Loaded at 1.4 s, and the first screen at 4.6 s.
    const stages = [stage(), stage({ holdMs: 2900 }), stage({ holdMs: 1300 }), stage()];
    const scene = { ...inputOf([], []).scene, id: 's' };
    const documents = { ...demo, scenes: { s: scene } };
    const on = (launch: Launch) =>
      createFaults({ documents, launch, outside: { fonts: null } }, null)
        .on(UPRIGHT)
        .filter((f) => f.rule === 'held-too-long');
    const [wait, ...others] = on(launchOf(stages));
    expect(others).toEqual([]);
    expect(wait).toMatchObject({ stage: 1, value: 3200 });
    expect(wait!.say().said).toContain('people wait 3.2 s longer');
    expect(on(launchOf([stage(), stage({ holdMs: 100 }), stage()]))).toEqual([]);
    // What the system takes is nobody’s to shorten.
    expect(on(launchOf([stage(), stage()], { systemMs: 2000 }))).toEqual([]);
  });

  it('lets the stage before the last wait for the loading, and no longer than its own hold', () => {
    const three = [stage(), fading, stage()];
    expect(spansOf(launchOf(three))).toEqual([
      [0, 400],
      [400, 1400],
      [1400, Infinity],
    ]);
    // Loading is over at once: what counts is 400 + 500 + 300.
    expect(spansOf(launchOf(three, { loadingMs: 0 }))[1]).toEqual([400, 1200]);
    expect(spansOf(launchOf(three), 'warm')).toEqual([
      [0, 100],
      [100, 900],
      [900, Infinity],
    ]);
  });

  it('lets the later end win where the first stage is the one before the last', () => {
    expect(spansOf(launchOf([stage(), stage()]))).toEqual([
      [0, 1400],
      [1400, Infinity],
    ]);
    expect(spansOf(launchOf([stage(), stage()], { loadingMs: 100 }))[0]).toEqual([0, 400]);
    expect(spansOf(launchOf([stage({ holdMs: 5000 }), stage()]))[0]).toEqual([0, 5000]);
  });

  it('holds with one stage and with five, with no time and with very much', () => {
    expect(spansOf(launchOf([fading]))).toEqual([[0, Infinity]]);
    const five = [stage(), fading, stage({ holdMs: 0 }), stage({ holdMs: 600_000 }), stage()];
    expect(spansOf(launchOf(five, { systemMs: 0, loadingMs: 0 }))).toEqual([
      [0, 0],
      [0, 800],
      [800, 800],
      [800, 600_800],
      [600_800, Infinity],
    ]);
    expect(() => launchOf([])).toThrow();
    expect(() => launchOf([stage({ holdMs: -1 })])).toThrow();
    expect(() => launchOf([stage({ easing: 'bouncy' })])).toThrow();
  });

  it('shows a stage through the one that comes in, and by itself after that', () => {
    const launch = launchOf([stage({ system: 'flat' }), fading, stage()]);
    const stages = stagesOn(launch, UPRIGHT.screen);
    const at = (t: number) => shownAt(timelineOf(launch, stages), stages, t);
    expect(at(-5)).toEqual([{ index: 0, opacity: 1 }]);
    expect(at(399.9)).toEqual([{ index: 0, opacity: 1 }]);
    expect(at(400)).toEqual([{ index: 0, opacity: 1 }]);
    expect(at(525)).toEqual([
      { index: 0, opacity: 1 },
      { index: 1, opacity: 0.25 },
    ]);
    expect(at(900)).toEqual([{ index: 1, opacity: 1 }]);
    expect(at(1400)).toEqual([{ index: 2, opacity: 1 }]);
    expect(at(1e9)).toEqual([{ index: 2, opacity: 1 }]);
  });

  it('keeps a fade that was cut off as it was when the next stage came', () => {
    const launch = launchOf([fading, fading, stage()], { systemMs: 250 });
    // As the first stage the app is cut off after half of its fade.
    const stages = stagesOn(launch, UPRIGHT.screen);
    const timeline = timelineOf(launch, stages);
    expect(timeline.spans[0]).toMatchObject({ start: 0, end: 250, fadeMs: 500 });
    expect(shownAt(timeline, stages, 375)).toEqual([
      { index: 0, opacity: 0.5 },
      { index: 1, opacity: 0.25 },
    ]);
    expect(shownAt(timeline, stages, 0)).toEqual([]);
  });

  it('has no gap: one stage goes when the next one comes, at all times', () => {
    const some = fc.record({
      enter: fc.constantFrom('none' as const, 'fade' as const),
      durationMs: fc.nat(2000),
      holdMs: fc.nat(4000),
    });
    fc.assert(
      fc.property(
        fc.array(some, { minLength: 1, maxLength: 5 }),
        fc.nat(3000),
        fc.nat(6000),
        fc.nat(12_000),
        (list, systemMs, loadingMs, t) => {
          const launch = launchOf(
            list.map((s) => stage(s)),
            { systemMs, loadingMs },
          );
          const stages = stagesOn(launch, UPRIGHT.screen);
          const timeline = timelineOf(launch, stages);
          timeline.spans.forEach((s, i) => {
            expect(s.start).toBe(i === 0 ? 0 : timeline.spans[i - 1]!.end);
            expect(s.end).toBeGreaterThanOrEqual(s.start);
          });
          const shown = shownAt(timeline, stages, t);
          expect(shown.map((s) => s.index)).toEqual(shown.map((s) => s.index).toSorted((a, b) => a - b));
          for (const s of shown) expect(s.opacity).toBeGreaterThan(0);
          for (const s of shown.slice(1)) expect(s.opacity).toBeLessThan(1);
          const moments = momentsOf(timeline);
          expect(moments).toEqual([...new Set(moments)].toSorted((a, b) => a - b));
          expect(moments.at(-1)).toBe(Math.round(timeline.readyMs));
        },
      ),
    );
  });
});

describe('easing', () => {
  it('is wholly there before its end where it overshoots', () => {
    expect(fullAt(easingOf('linear')!)).toBe(1);
    expect(fullAt(easingOf('ease-out')!)).toBe(1);
    expect(fullAt(easingOf('steps(4, jump-start)')!)).toBeCloseTo(0.75, 9);
    const back = easingOf('cubic-bezier(0.34, 1.56, 0.64, 1)')!;
    const at = fullAt(back);
    expect(at).toBeLessThan(0.6);
    expect(back(at)).toBeGreaterThanOrEqual(1);
    expect(back(at - 0.002)).toBeLessThan(1);
  });

  it('starts at 0 and ends at 1, but for steps', () => {
    for (const keyword of EASING_KEYWORDS) {
      const easing = easingOf(keyword)!;
      expect(easing(1)).toBe(1);
      expect(easing(0)).toBe(keyword === 'step-start' ? 1 : 0);
    }
  });

  it.each([
    'cubic-bezier(1.2, 0, 0, 1)',
    'cubic-bezier(0, 0, 1)',
    'steps(0)',
    'steps(1, jump-none)',
    'steps(2.5)',
    'linear(0)',
    'linear(0, x)',
    'linear(0 1 2)',
    'spring(1)',
    '',
  ])('refuses “%s”', (text) => expect(easingOf(text)).toBeNull());
});
