import { fillScreen } from '../placing/presets';
import { casesOf } from '../screens/cases';
import type { Measures } from '../measure/measures';
import { lu } from '../values/values';
import { survey, type PlacedResult } from '../survey/survey';
import { fitOf, inputOf, middleOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
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

it('telling cases show the extremes of every measure, sub-pixel included', () => {
  const logo = inputOf(
    [
      pictureLayer(
        {
          x: middleOf({ kind: 'length', length: lu(101.3) }, 'screen'),
          y: middleOf({ kind: 'from-ratio' }, 'screen'),
          ratio: { value: 'own', strict: true },
        },
        { fit: fitOf('contain') },
      ),
    ],
    [pictureOf('logo', { widthPx: 900, heightPx: 300, density: 3 })],
  );
  const found = survey(logo, cases);
  const told = new Set(tellingCases(cases, found, 400).map((c) => c.id));
  const reads: Record<string, (m: Measures) => number> = {
    'sub-pixel': (m) => Math.max(...Object.values(m.subPixel)),
    excess: (m) => m.excess!,
    'clearance of the screen': (m) => Math.min(...Object.values(m.clearance!.screen)),
    'off the safe centre': (m) => Math.max(Math.abs(m.offCentre.x!.safe), Math.abs(m.offCentre.y!.safe)),
    'share of the area': (m) => m.share.area,
    'under a bar': (m) => m.intrusion!.bar,
  };
  for (const [name, read] of Object.entries(reads)) {
    const values = found.map((r) => ({ id: r.id, value: read((r.layers[0] as PlacedResult).measures) }));
    for (const end of [Math.max, Math.min]) {
      const most = end(...values.map((v) => v.value));
      const at = values.filter((v) => Math.abs(v.value - most) < 1e-9).map((v) => v.id);
      expect([name, end.name, at.some((id) => told.has(id))]).toEqual([name, end.name, true]);
    }
  }
});
