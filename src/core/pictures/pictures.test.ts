import data from '../../../data/density-and-slots.json';
import { chooseDensityClass, chooseRendition, chooseWholeNumber, naturalSizeOf } from './choose';
import type { Cut, Picture, Rendition } from './picture';
import { previewFor, previewWidths, previewWithin } from './previews';
import type { Screen } from '../screens/screen';

const policy = (id: string) => data.selectionPolicies.find((p) => p.id === id)!;
const scales = (available: string) =>
  available.split(',').map((name) => {
    const scale = Number(name.replace(/[@x]/g, ''));
    return data.densities.find((d) => d.className === name)?.scale ?? scale;
  });

type Row = {
  available: string;
  screenScale?: number;
  screenDpi?: number;
  picked: string;
  pickedDpi?: number;
};

describe('the file that a screen takes', () => {
  it.each(policy('whole-number').table as Row[])(
    'whole number: of $available at $screenScale it is $picked',
    ({ available, screenScale, picked }) =>
      expect(chooseWholeNumber(scales(available), screenScale!)).toBe(scales(picked)[0]),
  );

  it.each(policy('density-class').table as Row[])(
    'density class: of $available at $screenDpi dpi it is $picked',
    ({ available, screenDpi, pickedDpi }) => {
      const dpis = scales(available).map((s) => Math.round(s * 160));
      expect(chooseDensityClass(dpis, screenDpi!)).toBe(pickedDpi);
      expect(chooseDensityClass(dpis.toReversed(), screenDpi!)).toBe(pickedDpi);
    },
  );

  const file = (more: Partial<Rendition>): Rendition => ({
    hash: '0'.repeat(64),
    widthPx: 300,
    heightPx: 150,
    density: 1,
    appearance: 'light',
    vector: false,
    ...more,
  });
  const cut = (name: Cut['cut'], ...renditions: Rendition[]): Cut => ({
    cut: name,
    renditions,
    keepAreas: [],
    focalPoint: { x: 0.5, y: 0.5 },
  });
  const picture = (...cuts: Cut[]): Picture => ({ id: 'p', name: 'P', cuts });
  const screen = { family: 'density-class', density: 2 } as Screen;
  const choose = (
    p: Picture,
    orientation: 'portrait-primary' | 'landscape-primary',
    appearance: 'light' | 'dark',
  ) => chooseRendition(p, screen, orientation, appearance);

  it('is of the cut of the orientation, else of the one for any', () => {
    const p = picture(cut('any', file({ density: 1 })), cut('landscape', file({ density: 3 })));
    expect(choose(p, 'landscape-primary', 'light').cut.cut).toBe('landscape');
    expect(choose(p, 'portrait-primary', 'light').cut.cut).toBe('any');
  });

  it('falls back to light, and to whatever there is', () => {
    const light = file({ appearance: 'light' });
    const dark = file({ appearance: 'dark' });
    expect(choose(picture(cut('any', light)), 'portrait-primary', 'dark').rendition).toBe(light);
    expect(choose(picture(cut('any', light, dark)), 'portrait-primary', 'dark').rendition).toBe(dark);
    expect(choose(picture(cut('any', dark)), 'portrait-primary', 'light').rendition).toBe(dark);
  });

  it('is the vector where there is one', () => {
    const vector = file({ vector: true });
    expect(
      choose(picture(cut('any', file({ density: 2 }), vector)), 'portrait-primary', 'light').rendition,
    ).toBe(vector);
  });

  it('follows the policy of the family', () => {
    const p = picture(cut('any', file({ density: 2 }), file({ density: 3 })));
    const at = (family: Screen['family']) =>
      chooseRendition(p, { family, density: 2.125 } as Screen, 'portrait-primary', 'light').rendition.density;
    expect(at('density-class')).toBe(2);
    expect(at('whole-number')).toBe(3);
  });

  it('has its natural size at its own density', () => {
    expect(naturalSizeOf(file({ density: 3 }))).toEqual({ width: 100, height: 50 });
  });
});

describe('previews', () => {
  it('end at the width of the file or at the largest level', () => {
    const square = (px: number) => previewWidths({ widthPx: px, heightPx: px });
    expect(square(96)).toEqual([64, 96]);
    expect(square(6000).at(-1)).toBe(2048);
    expect(square(40)).toEqual([40]);
    expect(previewWidths({ widthPx: 750, heightPx: 20_000 })).toEqual([64, 128, 256, 512, 614]);
  });

  it('are chosen no smaller than what is drawn where there is one', () => {
    const photo = { widthPx: 2400, heightPx: 1800 };
    expect(previewFor(photo, { width: 200, height: 150 })).toBe(256);
    expect(previewFor(photo, { width: 5000, height: 10 })).toBe(2048);
    expect(previewFor({ widthPx: 96, heightPx: 96 }, { width: 65, height: 65 })).toBe(96);
  });

  it('are chosen by the height as well: a picture that is drawn narrow and high needs its rows', () => {
    const photo = { widthPx: 2400, heightPx: 1800 };
    expect(previewFor(photo, { width: 100, height: 700 })).toBe(1024);
    expect(previewFor(photo, { width: 100, height: 75 })).toBe(128);
  });

  it('are read as wide as a number of pixels allows, or else the smallest', () => {
    const photo = { widthPx: 2400, heightPx: 1800 };
    expect(previewWithin(photo, 512 * 384)).toBe(512);
    expect(previewWithin(photo, 512 * 384 - 1)).toBe(256);
    expect(previewWithin({ widthPx: 300, heightPx: 9000 }, 10)).toBe(64);
  });
});
