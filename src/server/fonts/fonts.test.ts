import { FACES } from '@/core/text/style';
import { EM } from '@/render/em';
import { fontFile, serverFonts } from './fonts';

const fonts = serverFonts();

/** All coordinates of an outline, in pairs. */
const points = (outline: string) =>
  [...outline.matchAll(/(-?[\d.]+)[ ,](-?[\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

describe('the shipped fonts', () => {
  it.each(FACES)('%s has Latin, Greek and Cyrillic, and names what it has not', (face) => {
    expect(fonts.missing('Wintér Ελλάδα Паром Ő…\n“x”', face)).toEqual([]);
    expect(fonts.missing('港 a 港 ש', face)).toEqual(['港', 'ש']);
  });

  it('sets letters closer where the font says so', () => {
    const { width } = fonts;
    expect(width('AV', 'sans-400')).toBeLessThan(width('A', 'sans-400') + width('V', 'sans-400'));
    expect(width('Ma', 'sans-700')).toBeGreaterThan(width('Ma', 'sans-400'));
    expect(width('', 'sans-400')).toBe(0);
  });

  it.each(['Ferry timetable', 'Ελλάδα', 'Паром 12:40', 'Mixed Смесь Μίξη'])(
    'draws “%s” no wider than it measures',
    (text) => {
      for (const face of FACES) {
        const xs = points(fonts.outline(text, face, 'ltr')).map((p) => p.x / EM);
        const width = fonts.width(text, face);
        expect(Math.min(...xs)).toBeGreaterThan(-0.1);
        expect(Math.max(...xs)).toBeLessThan(width + 0.1);
        expect(Math.max(...xs)).toBeGreaterThan(width - 0.2);
      }
    },
  );

  it('stands on its baseline and reaches no higher than it says', () => {
    const ys = points(fonts.outline('HxÉ', 'serif-400', 'ltr')).map((p) => p.y / EM);
    const { ascent, descent } = fonts.vertical('serif-400');
    expect(Math.max(...ys)).toBeLessThan(0.05);
    expect(Math.min(...ys)).toBeGreaterThan(-ascent);
    expect(descent).toBeGreaterThan(0);
  });

  it('hands out only its own files', () => {
    expect(fontFile('sans-400', 'greek').subarray(0, 4).toString()).toBe('wOFF');
    expect(() => fontFile('sans-400', '../latin')).toThrow('This font');
    expect(() => fontFile('other-400', 'latin')).toThrow('This font');
  });
});
