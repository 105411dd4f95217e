import { fillScreen } from '../placing/presets';
import { casesOf } from '../screens/cases';
import { survey } from '../survey/survey';
import { fitOf, inputOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { tellingCases } from './telling';

const cases = casesOf(SCREENS, ['light']);
const input = inputOf(
  [pictureLayer(fillScreen(), { role: 'background', fit: fitOf('cover') })],
  [pictureOf('logo', { widthPx: 2400, heightPx: 1800, density: 3 })],
);
const results = survey(input, cases);

describe('telling cases', () => {
  it('are few, all different, and hold the greatest loss and the least', () => {
    const told = tellingCases(cases, results, 8);
    expect(told.length).toBeGreaterThan(3);
    expect(told.length).toBeLessThanOrEqual(8);
    expect(new Set(told.map((c) => c.id)).size).toBe(told.length);
    const crop = (id: string) => {
      const [layer] = results.find((r) => r.id === id)!.layers;
      return layer?.kind === 'picture' ? layer.measures.crop!.total : 0;
    };
    const all = cases.map((c) => crop(c.id));
    const shown = told.map((c) => crop(c.id));
    expect(Math.max(...shown)).toBeCloseTo(Math.max(...all), 9);
    expect(Math.min(...shown)).toBeLessThan(0.1);
  });

  it('start with the weightiest screen', () => {
    const [first] = tellingCases(cases, results, 3);
    expect(first!.screen.weight).toBe(Math.max(...cases.map((c) => c.screen.weight)));
  });
});
