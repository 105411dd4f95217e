import fc from 'fast-check';
import type { Picture, Rendition } from '@/core/pictures/picture';
import { DEFAULT_PATTERN, outFiles, PatternFault, type FileFacts } from './names';

const file = (letter: string, more: Partial<Rendition> = {}): Rendition => ({
  hash: letter.repeat(64),
  widthPx: 200,
  heightPx: 100,
  density: 1,
  appearance: 'light',
  vector: false,
  ...more,
});
const cut = { focalPoint: { x: 0.5, y: 0.5 }, keepAreas: [] };
const emblem: Picture = {
  id: 'e',
  name: 'Emblem & ring',
  cuts: [
    { ...cut, cut: 'any', renditions: [file('a'), file('b', { density: 2, appearance: 'dark' })] },
    { ...cut, cut: 'landscape', renditions: [file('c', { density: 1.5 })] },
  ],
};
const facts: FileFacts = Object.fromEntries(
  ['a', 'b', 'c'].map((l) => [l.repeat(64), { type: l === 'c' ? 'jpeg' : 'png', bytes: 10 }]),
);
const paths = (pattern: string, pictures = [emblem]) => outFiles(pictures, pattern, facts).map((f) => f.path);

describe('names of files that are taken along', () => {
  it('say what does not go without saying, with the ending of what they are', () => {
    expect(paths(DEFAULT_PATTERN)).toEqual([
      'emblem-ring-dark@2x.png',
      'emblem-ring-landscape@1.5x.jpg',
      'emblem-ring.png',
    ]);
    expect(paths('{density}x/{appearance}/{name}-{cut}-{width}x{height}')).toEqual([
      '1.5x/light/emblem-ring-landscape-200x100.jpg',
      '1x/light/emblem-ring-any-200x100.png',
      '2x/dark/emblem-ring-any-200x100.png',
    ]);
  });

  it('refuses a pattern that gives two files one name, and says which', () => {
    expect(() => paths('{name}')).toThrow(
      'Two files would be called emblem-ring.png: Emblem & ring, 1×, and Emblem & ring, dark, 2×. Let the pattern say in what they differ.',
    );
    // Some systems do not tell capitals from small letters.
    const other = { ...emblem, id: 'f', name: 'EMBLEM ring' };
    expect(() =>
      paths('{name}[-{appearance}]', [
        emblem,
        { ...other, cuts: [{ ...other.cuts[0]!, renditions: [file('c')] }] },
      ]),
    ).not.toThrow();
  });

  it('refuses what would leave the folder, or not be a name everywhere', () => {
    for (const bad of [
      '',
      ' ',
      '/{name}',
      '../{name}',
      'a//{name}',
      './{name}',
      'a/../{name}',
      'c:{name}',
      '{name}?',
      '{size}',
      '{name',
      'x[{name}',
    ])
      expect(() => paths(bad)).toThrow(PatternFault);
    expect(() => paths('{nam}')).toThrow('There is no {nam}. There are {name}, {density}');
  });

  it('never names anything outside its folder, whatever the pattern and the picture are called', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 30 }),
        fc.string({ minLength: 1, maxLength: 20, unit: 'binary' }),
        (pattern, name) => {
          const one = { ...emblem, name, cuts: [{ ...emblem.cuts[0]!, renditions: [file('a')] }] };
          let found: string[];
          try {
            found = paths(pattern, [one]);
          } catch (error) {
            expect(error).toBeInstanceOf(PatternFault);
            return;
          }
          for (const path of found) {
            expect(path).not.toMatch(/^\/|^[a-z]:|\\/i);
            for (const part of path.split('/')) expect(['', '.', '..']).not.toContain(part);
          }
        },
      ),
    );
  });

  it('leaves out what the store does not know', () => {
    expect(outFiles([emblem], DEFAULT_PATTERN, {})).toEqual([]);
  });
});
