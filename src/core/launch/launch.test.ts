import fc from 'fast-check';
import {
  SCREENS,
  fitOf,
  middleOf,
  pictureLayer,
  edgesOf,
  inputOf,
  pictureOf,
  UPRIGHT,
} from '../testing/scenes';
import { fillScreen } from '../placing/presets';
import { surveyCase } from '../survey/survey';
import type { Layer } from '../scene/scene';
import { filePixelsOf } from '../pixels/file';
import { lu, percent } from '../values/values';
import { demo } from '../../../demo/testing';
import { easingOf, EASING_KEYWORDS, fullAt } from '../project/easing';
import { createFaults } from './faults';
import { handoverOf, outsideCircle } from './handover';
import { coverageOf, Launch, stagesOn, targetOf, type Stage, type Target } from '../project/launch';
import { asDrawn, MASK_ID } from './system';
import { momentsOf, shownAt, timelineOf } from './timeline';

const stage = (more: Partial<Stage> = {}): Stage => ({
  id: 'a',
  scene: 's',
  system: 'app',
  enter: 'none',
  durationMs: 0,
  easing: 'linear',
  holdMs: 0,
  ...more,
});
const launchOf = (stages: Stage[], more: Partial<Launch> = {}): Launch =>
  Launch.parse({
    id: 'l',
    name: 'Launch',
    targets: [],
    stages,
    systemMs: 400,
    loadingMs: 1400,
    warm: { systemMs: 100, loadingMs: 0 },
    ...more,
  });
const target = (more: Partial<Target>): Target => ({
  id: 't',
  name: 'Target',
  families: [],
  kinds: [],
  ids: [],
  system: 'icon',
  ...more,
});
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

describe('targets', () => {
  it('take in screens by family and kind together, and by id', () => {
    const phones = target({ id: 'phones', families: ['whole-number'], kinds: ['phone'] });
    const one = target({ id: 'one', ids: ['tv-960x540-2x'], system: 'flat' });
    const launch = launchOf([stage({ system: 'flat' }), stage()], { targets: [phones, one] });
    for (const s of SCREENS) {
      const expected = s.family === 'whole-number' && s.kind === 'phone' ? 'phones' : null;
      expect(targetOf(launch, s)?.id ?? null).toBe(s.id === 'tv-960x540-2x' ? 'one' : expected);
    }
    const { claimedTwice, unclaimed } = coverageOf(launch, SCREENS);
    expect(claimedTwice).toEqual([]);
    expect(unclaimed.length).toBe(SCREENS.filter((s) => targetOf(launch, s) === null).length);
    const twice = { ...launch, targets: [phones, target({ id: 'again', kinds: ['phone'] })] };
    expect(coverageOf(twice, SCREENS).claimedTwice.length).toBeGreaterThan(0);
  });

  it('give the first stage their own window, and none where they are switched off', () => {
    const { screen } = UPRIGHT;
    const own = target({ ids: [screen.id], system: 'icon', scene: 'own', padding: 0.1 });
    const launch = launchOf([stage({ system: 'flat' }), stage({ id: 'b' })], { targets: [own] });
    expect(stagesOn(launch, screen)[0]).toMatchObject({
      system: 'icon',
      scene: 'own',
      padding: 0.1,
      empty: false,
    });
    expect(stagesOn(launch, screen)[1]).toMatchObject({ system: 'app', scene: 's', padding: 0 });
    const off = { ...launch, targets: [{ ...own, off: true }] };
    expect(stagesOn(off, screen)[0]!.empty).toBe(true);
    expect(stagesOn({ ...launch, targets: [] }, screen)[0]).toMatchObject({ system: 'flat', scene: 's' });
  });
});

const pictures = [
  pictureOf('photo', { widthPx: 2400, heightPx: 1600, density: 3 }),
  pictureOf('logo', { widthPx: 600, heightPx: 300, density: 3 }),
];
const ground = (colour: string): Layer => ({
  kind: 'ground',
  id: 'ground',
  name: 'Ground',
  role: 'background',
  visible: true,
  colour: { light: colour },
});
const layers: Layer[] = [
  ground('#ffffff'),
  pictureLayer(fillScreen(), { id: 'photo', picture: 'photo', role: 'background', fit: fitOf('cover') }),
  pictureLayer(
    {
      x: middleOf({ kind: 'length', length: percent(50), of: 'screen' }, 'screen'),
      y: { kind: 'end', edge: { region: 'safe', offset: lu(30) }, extent: { kind: 'from-ratio' } },
      ratio: { value: 'own', strict: true },
    },
    { id: 'logo' },
  ),
];
const base = inputOf(layers, pictures);
const drawnBy = (system: Stage['system'], padding = 0) => {
  const { scene, outside } = asDrawn(base.scene, { system, padding, empty: false });
  const result = surveyCase({ ...base, scene }, UPRIGHT);
  const boxOf = (id: string) => {
    const layer = result.layers.find((l) => l.id === id);
    return layer?.kind === 'picture' ? layer.placement : undefined;
  };
  return { outside, result, boxOf };
};

describe('a window of the system', () => {
  it('that is flat draws pictures at their natural size at a side, and stretches one over the screen', () => {
    const { boxOf, outside } = drawnBy('flat');
    const { width, height } = UPRIGHT.screen;
    expect(boxOf('logo')!.drawn).toMatchObject({
      width: 200,
      height: 100,
      x: (width - 200) / 2,
      y: height - 100,
    });
    expect(boxOf('photo')!.drawn).toEqual({ x: 0, y: 0, width, height });
    // What is placed otherwise is told apart where it is seen.
    expect(outside.map((o) => [o.layerId, o.placed ?? false])).toEqual([
      ['photo', false],
      ['logo', true],
    ]);
  });

  it('that masks an icon draws it in its box, of which the circle is seen', () => {
    const { boxOf, result, outside } = drawnBy('icon');
    const { width, height } = UPRIGHT.screen;
    expect(boxOf('logo')!.box).toEqual({
      x: (width - 288) / 2,
      y: (height - 288) / 2,
      width: 288,
      height: 288,
    });
    expect(boxOf('logo')!.drawn).toMatchObject({ width: 288, height: 144 });
    const mask = result.layers.find((l) => l.id === MASK_ID);
    expect(mask?.box).toMatchObject({ width: 192, height: 192 });
    expect(outside.map((o) => o.layerId)).toEqual(['photo']);
    expect(drawnBy('icon', 0.25).boxOf('logo')!.drawn.width).toBe(144);
  });

  it('of a layout and of the app draw everything by its rules, and nothing where there is none', () => {
    for (const system of ['layout', 'app'] as const) {
      const { outside, result } = drawnBy(system);
      expect(outside).toEqual([]);
      expect(result).toEqual(surveyCase(base, UPRIGHT));
    }
    expect(asDrawn(base.scene, { system: 'flat', padding: 0, empty: true }).scene.layers).toEqual([]);
  });

  it('names texts, panels and further grounds that it does not draw', () => {
    const text: Layer = {
      kind: 'text',
      id: 'text',
      name: 'Text',
      role: 'text',
      visible: true,
      text: 'Hello',
      placing: { x: edgesOf('safe'), y: middleOf({ kind: 'natural' }) },
      style: {
        font: 'sans',
        weight: 400,
        size: 15,
        lineHeight: 1.3,
        colour: { light: '#000000' },
        align: { x: 'start', y: 'start' },
      },
    };
    const scene = { ...base.scene, layers: [...layers, text, { ...ground('#000000'), id: 'second' }] };
    for (const system of ['flat', 'icon'] as const) {
      const { outside, scene: drawn } = asDrawn(scene, { system, padding: 0, empty: false });
      const left = outside.filter((o) => !o.placed).map((o) => o.layerId);
      expect(left.toSorted()).toEqual(['photo', 'second', 'text']);
      expect(drawn.layers.filter((l) => l.kind === 'ground').map((l) => l.id)).toEqual(['ground']);
    }
  });
});

describe('from one stage to the next', () => {
  const plain = (colour: string, more: Layer[] = []) =>
    surveyCase(inputOf([ground(colour), ...more], pictures), UPRIGHT);
  const none = new Map();

  it('white to black is a difference of 100, and nothing to the same is none', () => {
    expect(handoverOf(plain('#ffffff'), plain('#000000'), none, 0).flash).toBeCloseTo(100, 4);
    expect(handoverOf(plain('#345678'), plain('#345678'), none, 0)).toMatchObject({ flash: 0, jumps: [] });
    const { colours } = handoverOf(plain('#ffffff'), plain('#000000'), none, 0);
    expect(colours).toMatchObject({ groundShare: 1, before: { r: 255 }, after: { r: 0 } });
    expect(handoverOf(plain('#ffffff'), plain('#000000'), null, 0).flash).toBeNull();
  });

  it('a fade takes the flash out of what was a picture, not out of bare ground', () => {
    const hash = 'a'.repeat(64);
    const data = new Uint8ClampedArray(4 * 4 * 4).fill(255);
    const known = new Map([[hash, filePixelsOf({ width: 4, height: 4, data })]]);
    const photo = layers[1]!;
    const [bare, covered, after] = [plain('#ffffff'), plain('#000000', [photo]), plain('#000000')];
    expect(handoverOf(covered, after, known, 0).flash).toBeCloseTo(100, 4);
    expect(handoverOf(covered, after, known, 300).flash).toBe(0);
    expect(handoverOf(bare, after, known, 300).flash).toBeCloseTo(100, 4);
  });

  it('tells how a picture moves and grows, and which come and go', () => {
    const at = (x: number, width: number): Layer =>
      pictureLayer(
        {
          x: {
            kind: 'start',
            edge: { region: 'screen', offset: lu(x) },
            extent: { kind: 'length', length: lu(width) },
          },
          y: { kind: 'start', edge: { region: 'screen', offset: lu(100) }, extent: { kind: 'from-ratio' } },
          ratio: { value: 'own', strict: true },
        },
        { id: 'logo' },
      );
    const h = handoverOf(plain('#fff000', [at(20, 100)]), plain('#fff000', [at(50, 200)]), none, 0);
    expect(h.jumps[0]).toMatchObject({ shift: { x: 80, y: 25 }, scale: 2 });
    expect(h.jumps[0]!.furthest).toBeCloseTo(Math.hypot(130, 50), 9);
    const { appears, vanishes } = handoverOf(
      plain('#fff000', [at(20, 100)]),
      plain('#fff000', [layers[1]!]),
      none,
      0,
    );
    expect([appears, vanishes]).toEqual([['It'], ['It']]);
  });

  it('a disc loses to a circle what lies outside it, by its alpha', () => {
    const size = 200;
    const data = new Uint8ClampedArray(size * size * 4);
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++)
        if (Math.hypot(x + 0.5 - size / 2, y + 0.5 - size / 2) <= size / 2)
          data[(y * size + x) * 4 + 3] = 255;
    const file = filePixelsOf({ width: size, height: size, data });
    const lost = (width: number) =>
      outsideCircle({ x: -width / 2, y: -width / 2, width, height: width }, file, { x: 0, y: 0, radius: 96 });
    expect(lost(190)).toBeCloseTo(0, 9);
    // A disc of 288 with a hole of 192 in its place: 1 − (2/3)².
    expect(lost(288)).toBeCloseTo(5 / 9, 2);
  });
});
