import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

/** What is said in other words: one word for each thing, in plain English. */
const NOT_SAID = [
  /\bput away\b/,
  /\bcall(s|ed)? it off\b/,
  /\btake it away\b/,
  /\bdo without\b/,
  /\b(in|out)side of\b/,
  /hard to make out/,
  /again and again/,
  /from memory/,
  /Drawn out/,
  /Judged as/,
  /\b[Hh]eld (by|at|down|across)\b/,
  /take in a file/,
  /Width on the glass/,
  /px of the framebuffer/,
  /stretches on which no screen/,
  /Accepted is|accepted is (at|none|exactly)/,
  /\bhinges? on approximate/,
  /times as (wide|high)/,
  /s’s\b/,
  /\bthese 1\b/,
  /\b1 (files|cases|pictures|findings|screens)\b/,
  /width ÷ height'/,
];

const FOLDERS = ['src/ui', 'src/core', 'src/formats', 'src/render', 'src/cli'];

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f))
    .map((f) => path.join(folder, f));

/** A source without its comments: what people read on the page, and names. */
const said = (source: string) => source.replaceAll(/\/\*[\s\S]*?\*\//g, '').replaceAll(/^\s*\/\/.*$/gm, '');

it('says nothing in words that were given up', () => {
  const files = FOLDERS.flatMap(filesIn);
  expect(files.length).toBeGreaterThan(400);
  const found = files.flatMap((file) => {
    const text = said(readFileSync(file, 'utf8'));
    return NOT_SAID.filter((word) => word.test(text)).map((word) => `${file}: ${word}`);
  });
  expect(found).toEqual([]);
});
