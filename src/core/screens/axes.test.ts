import { explain } from '../explain/figure';
import { survey } from '../survey/survey';
import { edgesOf, inputOf, middleOf, SCREENS } from '../testing/scenes';
import type { TextLayer } from '../scene/scene';
import { Axes, countWindows, isScreenOrItsLike, withAxes } from './axes';
import { caseId, casesOf, findCase } from './cases';
import { likeness } from './likeness';
import { turnedSize } from './turn';
import { caseName } from './words';
import { weightsOf } from './weights';

const phone = SCREENS.find((s) => s.id === 'phone-393x852-3x-pill')!;
const label: TextLayer = {
  kind: 'text',
  id: 'label',
  name: 'Label',
  role: 'text',
  visible: true,
  placing: { x: edgesOf('safe'), y: middleOf({ kind: 'natural' }) },
  text: 'Winter timetable',
  style: {
    font: 'sans',
    size: 20,
    weight: 400,
    lineHeight: 1.2,
    colour: { light: '#000000' },
    align: { x: 'start', y: 'start' },
    maxLines: 3,
  },
};

describe('what screens are looked at in besides', () => {
  it('is nothing unless somebody asks', () => {
    expect(withAxes(SCREENS, undefined)).toEqual(SCREENS);
    expect(withAxes(SCREENS, {})).toEqual(SCREENS);
  });

  it('is upside down, for screens that turn', () => {
    const turns = casesOf(withAxes([phone], { upsideDown: true }), ['light']).map((c) => c.rotation);
    expect(turns).toEqual([0, 90, 180, 270]);
    const television = SCREENS.find((s) => !s.rotates)!;
    expect(casesOf(withAxes([television], { upsideDown: true }), ['light'])).toHaveLength(1);
  });

  it('is the size of text: texts are set in it, and nothing else changes', () => {
    const screens = withAxes([phone], { textSizes: [0.85, 2] });
    const input = inputOf([label], []);
    const sizes = survey(
      input,
      casesOf(screens, ['light']).filter((c) => c.rotation === 0),
    ).map(({ layers }) => (layers[0]?.kind === 'text' ? layers[0].fontSize : null));
    expect(sizes).toEqual([20, 17, 40]);
    const large = findCase(caseId(screens[2]!.id, 0, 'light'), screens)!;
    expect(caseName(large)).toBe('Phone 393 × 852, portrait, text at 200 %');
    expect(likeness(large)).not.toBe(likeness({ ...large, screen: phone }));
    const why = explain(input, large, 'label', { name: 'font-size' });
    expect(why.text).toBe('Its type is set in 40. The text size of this screen is 200 %.');
  });

  it('is a zoomed display: as many px, fewer lu, and the cutouts where they are', () => {
    const [plain, zoomed] = withAxes([phone], { zooms: [1.15] });
    expect(zoomed!.framebufferPx).toEqual(phone.framebufferPx);
    expect(turnedSize(zoomed!, 0).width).toBeCloseTo(393 / 1.15, 6);
    const px = (s: typeof phone) => s.cutouts[0]!.x * s.density;
    expect(px(zoomed!)).toBeCloseTo(px(phone), 6);
    expect(zoomed!.insets[0].top * zoomed!.density).toBeCloseTo(phone.insets[0].top * phone.density, 6);
    expect(plain!.weight + zoomed!.weight).toBeCloseTo(phone.weight, 9);
  });

  it('keeps what every screen weighs, and adds windows of a range', () => {
    const windows = {
      width: { low: 400, high: 800 },
      height: { low: 600, high: 700 },
      step: 100,
      density: 2,
    };
    expect(countWindows(windows)).toBe(10);
    const all = withAxes([phone], { zooms: [1.15], textSizes: [1.3], windows });
    expect(all).toHaveLength(4 + 10);
    expect(new Set(all.map((s) => s.id)).size).toBe(all.length);
    const of = weightsOf(casesOf(all.slice(0, 4), ['light']));
    expect([...of.values()].reduce((sum, w) => sum + w, 0)).toBeCloseTo(1, 9);
    expect(all.at(-1)).toMatchObject({
      width: 800,
      height: 700,
      framebufferPx: { width: 1600, height: 1400 },
    });
    expect(Axes.safeParse({ windows: { ...windows, step: 1 } }).error?.issues[0]?.message).toMatch(
      /more than 400/,
    );
  });

  it('is known as the screen that it is made of', () => {
    const [, zoomed, text] = withAxes([phone], { zooms: [1.3], textSizes: [2] });
    for (const { id } of [zoomed!, text!]) expect(isScreenOrItsLike(id, phone.id)).toBe(true);
    expect(isScreenOrItsLike('phone-393x852-3x', 'phone-393x852')).toBe(false);
  });
});
