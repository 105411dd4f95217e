import json from '../../../data/screens.json';
import { demoDocuments } from '../../../demo/documents';
import { demoRenditions } from '../../../demo/testing';
import { casesOf } from '../screens/cases';
import { distinctCases } from '../screens/likeness';
import { readCatalogue } from '../screens/catalogue';
import { halfWide } from '../testing/fonts';
import { fillScreen } from '../placing/presets';
import { fitOf, inputOf, pictureLayer, pictureOf, SCREENS } from '../testing/scenes';
import { pixelsNeeded } from './needed';
import { surveyCase, surveyInput } from './survey';

const cases = distinctCases(casesOf(readCatalogue(json), ['light', 'dark'])).map((c) => c.shown);
/** The demo, with the pixels of some files scaled while their natural size stays. */
function documents(factor: Record<string, number> = {}) {
  return demoDocuments((id) =>
    demoRenditions(id, () => '0'.repeat(64)).map((r) => {
      const by = factor[id] ?? 1;
      return { ...r, widthPx: r.widthPx * by, heightPx: r.heightPx * by, density: r.density * by };
    }),
  );
}
const inputs = (d: ReturnType<typeof documents>) =>
  Object.values(d.scenes).map((s) => surveyInput(d, s, { fonts: halfWide }));
const worst = (d: ReturnType<typeof documents>, pictureId: string) =>
  Math.max(
    ...inputs(d).flatMap((input) =>
      cases.flatMap((c) =>
        surveyCase(input, c).layers.map((l) =>
          l.kind === 'picture' && l.pictureId === pictureId ? l.measures.enlargement! : 0,
        ),
      ),
    ),
  );

describe('the pixels that a picture needs', () => {
  const needed = pixelsNeeded(inputs(documents()), () => cases);

  it('are of the case that enlarges it most, for each cut and appearance that is drawn', () => {
    expect([...needed.keys()].toSorted()).toEqual([
      'deck',
      'deck-large',
      'emblem',
      'emblem-trimmed',
      'harbour',
      'harbour-cuts',
      'rope',
      'wordmark',
    ]);
    const [light, dark] = needed.get('harbour')!;
    expect([light!.appearance, dark!.appearance]).toEqual(['light', 'dark']);
    // 2400 px of width, enlarged the most.
    expect(light!.widthPx).toBe(Math.ceil(2400 * worst(documents(), 'harbour') - 1e-6));
    const c = cases.find((one) => one.id === light!.caseId)!;
    const layer = surveyCase(inputs(documents())[1]!, c).layers.find((l) => l.id === 'harbour')!;
    expect(layer.kind === 'picture' && layer.measures.enlargement).toBeCloseTo(
      worst(documents(), 'harbour'),
      9,
    );
  });

  it.each(['deck', 'harbour'])(
    'are just enough: with them no case enlarges %s, with a pixel less one does',
    (id) => {
      const { widthPx } = needed.get(id)![0]!;
      const own = demoRenditions(id, () => '')[0]!.widthPx;
      expect(worst(documents({ [id]: widthPx / own }), id)).toBeLessThanOrEqual(1 + 1e-9);
      expect(worst(documents({ [id]: (widthPx - 1) / own }), id)).toBeGreaterThan(1);
    },
  );
});

describe('a picture that is stretched', () => {
  it('needs the width of its widest case and the height of its highest', () => {
    const input = inputOf(
      [pictureLayer(fillScreen(), { role: 'background', fit: fitOf('stretch') })],
      [pictureOf('logo', { widthPx: 800, heightPx: 600, density: 1 })],
    );
    const all = casesOf(SCREENS, ['light']);
    const [asked] = pixelsNeeded([input], () => all).get('logo')!;
    const px = all
      .map((c) => surveyCase(input, c).regions.screen)
      .map((r, i) => ({
        width: Math.round(r.width * all[i]!.screen.density),
        height: Math.round(r.height * all[i]!.screen.density),
      }));
    expect(asked!.widthPx).toBe(Math.max(...px.map((p) => p.width)));
    expect(asked!.heightPx).toBe(Math.max(...px.map((p) => p.height)));
    const at = (id: string) => px[all.findIndex((c) => c.id === id)]!;
    expect(at(asked!.caseId).width).toBe(asked!.widthPx);
    expect(at(asked!.heightCaseId).height).toBe(asked!.heightPx);
  });
});
