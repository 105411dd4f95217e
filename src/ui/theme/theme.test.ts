import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { PALETTE } from '@/render/palette';

const ROOT = path.resolve('src');

function filesBelow(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(folder, entry.name);
    return entry.isDirectory() ? filesBelow(at) : [at];
  });
}

const sources = filesBelow(ROOT)
  .filter((f) => /\.(scss|tsx?)$/.test(f) && !/\.test\.tsx?$/.test(f))
  .map((f) => ({ name: path.relative(ROOT, f), text: readFileSync(f, 'utf8') }));

/** Custom properties that are given a value somewhere: in a sheet, in a style of a component, for a face of letters, or in the palette. */
const DEFINED = new Set([
  ...sources.flatMap(({ text }) => [...text.matchAll(/(--[\w-]+)['"`\]]*\s*:/g)].map((m) => m[1]!)),
  ...sources.flatMap(({ text }) => [...text.matchAll(/variable: '(--[\w-]+)'/g)].map((m) => m[1]!)),
  ...Object.keys(PALETTE.light).map((name) => `--${name}`),
]);
/** Written by what writes a scene as CSS: their names are made there, and belong to what it writes. */
const isOfScenes = (name: string) => name.startsWith('formats/css/');

test('every custom property that is used is defined', () => {
  const used = sources
    .filter(({ name }) => !isOfScenes(name))
    .flatMap(({ name, text }) =>
      [...text.matchAll(/var\(\s*(--[\w-]+)/g)].map((m) => ({ name, property: m[1]! })),
    );
  expect(used.length).toBeGreaterThan(200);
  // Bootstrap defines those of its own.
  const undefinedOnes = used.filter(
    ({ property }) => !DEFINED.has(property) && !property.startsWith('--bs-'),
  );
  expect(undefinedOnes).toEqual([]);
});

/** What a mixin of the tokens gives to its custom properties. */
function tokensOf(theme: 'light' | 'dark'): Map<string, string> {
  const text = readFileSync(path.join(ROOT, 'ui/theme/_tokens.scss'), 'utf8');
  const mixin = new RegExp(`@mixin ${theme} \\{([^}]*)\\}`).exec(text)![1]!;
  return new Map([...mixin.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map((m) => [m[1]!, m[2]!]));
}

test.each(['light', 'dark'] as const)(
  'there is one palette: in %s the page has that of all else',
  (theme) => {
    const tokens = tokensOf(theme);
    for (const [name, colour] of Object.entries(PALETTE[theme]))
      expect([name, tokens.get(name)]).toEqual([name, colour]);
  },
);

test('type has five sizes, each named by a token', () => {
  const sizes = sources
    .filter(({ name }) => name.endsWith('.scss'))
    .flatMap(({ text }) => [...text.matchAll(/(?<=[\s{;])font-size: ([^;]+);/g)].map((m) => m[1]!));
  const TOKEN = /^var\(--text-(figure|second|body|heading|title)\)$|^inherit$/;
  expect(sizes.length).toBeGreaterThan(50);
  expect(sizes.filter((size) => !TOKEN.test(size))).toEqual([]);
});

test('windows are told apart in rem, so that larger text gets the layout that it needs', () => {
  const queries = sources
    .filter(({ name }) => name.endsWith('.scss'))
    .flatMap(({ text }) => [...text.matchAll(/@media[^{]*(?:width)[^{]*/g)].map((m) => m[0]));
  expect(queries.length).toBeGreaterThan(5);
  expect(queries.filter((query) => /\dpx/.test(query))).toEqual([]);
});
