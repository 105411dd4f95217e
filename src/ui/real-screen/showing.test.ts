import type { ScreenStage } from '@/core/project/launch';
import type { StageResult } from '@/core/launch/survey';
import { timelineOf } from '@/core/launch/timeline';
import { measuredCase, type Reading } from '@/core/screens/measured';
import { stage } from '@/core/testing/launches';
import { edgesOf, fitOf, inputOf, pictureLayer, pictureOf } from '@/core/testing/scenes';
import { surveyCase } from '@/core/survey/survey';
import { asSent, Shown } from '@/formats/real-screen/shown';
import { filmOf, stillOf } from './showing';

const reading: Reading = {
  rotation: 0,
  screen: { width: 411, height: 731 },
  window: { width: 411, height: 731 },
  windowPx: { width: 1080, height: 1920 },
  density: 2.625,
  insets: { top: 24, right: 0, bottom: 48, left: 0 },
};
const c = measuredCase([reading], reading, 'light');
const layer = pictureLayer({ x: edgesOf('screen'), y: edgesOf('screen') }, { fit: fitOf('cover') });
const picture = pictureOf('logo', { widthPx: 600, heightPx: 300, density: 3 });
const result = surveyCase(inputOf([layer], [picture]), c);
const { hash } = picture.cuts[0]!.renditions[0]!;
const by = { name: 'Splash', fonts: null, sizeOf: () => ({ widthPx: 600, heightPx: 300 }) };

describe('what a real screen is sent', () => {
  it('has as many px as the window there, without a glass, and names the files that it draws', () => {
    const sent = stillOf(result, reading.density, by);
    expect(sent.pictures).toHaveLength(1);
    expect(sent.pictures[0]!.drawing.size).toEqual(reading.windowPx);
    expect(sent.pictures[0]!.drawing.commands.map((o) => o.kind)).not.toContain('glass');
    expect(sent.files).toEqual([{ hash, widthPx: 600, heightPx: 300 }]);
    expect(Shown.parse(JSON.parse(JSON.stringify(asSent(sent))))).toEqual(JSON.parse(JSON.stringify(sent)));
  });

  it('is fit for a window that its browser left', () => {
    const now = { ...reading, window: { width: 411, height: 640 }, windowPx: { width: 1080, height: 1681 } };
    const within = measuredCase([reading, now], now, 'light');
    const sent = stillOf(surveyCase(inputOf([layer], [picture]), within), reading.density, by);
    expect(sent.pictures[0]!.drawing.size).toEqual(now.windowPx);
  });

  it('is a launch in its own time: every picture until the next, the last for a while', () => {
    const plain = [
      stage({ id: 'one', system: 'flat' }),
      stage({ id: 'two', enter: 'fade', durationMs: 200, holdMs: 300 }),
      stage({ id: 'three' }),
    ] as ScreenStage[];
    const launch = { systemMs: 400, loadingMs: 100 } as Parameters<typeof timelineOf>[0];
    const timeline = timelineOf(launch, plain);
    const stages = plain.map((s) => ({ stage: s, result }) as unknown as StageResult);
    const { pictures, files } = filmOf({ c, stages, plain, timeline }, by)!;
    const last = pictures.at(-1)!;
    const total = pictures.slice(0, -1).reduce((sum, p) => sum + p.ms, 0);
    expect(total).toBeCloseTo(timeline.readyMs, 6);
    expect(last.ms).toBeGreaterThan(0);
    // Fifty pictures a second while something fades.
    expect(pictures.filter((p) => Math.abs(p.ms - 20) < 1e-6).length).toBeGreaterThanOrEqual(9);
    expect(files).toEqual([{ hash, widthPx: 600, heightPx: 300 }]);
  });

  it('is nothing where no stage is drawn', () => {
    const stages = [{ stage: {}, result: null }] as unknown as StageResult[];
    const plain = [{ system: 'flat', holdMs: 0, durationMs: 0, enter: 'none' }] as unknown as ScreenStage[];
    const launch = { systemMs: 1, loadingMs: 1 } as Parameters<typeof timelineOf>[0];
    expect(filmOf({ c, stages, plain, timeline: timelineOf(launch, plain) }, by)).toBeNull();
  });
});
