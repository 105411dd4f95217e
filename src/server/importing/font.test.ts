import { readFileSync } from 'node:fs';
import path from 'node:path';
import { changeBetween } from '@/core/patch/change';
import { demoDocuments } from '../../../demo/documents';
import { getDb } from '../db/client';
import { fonts } from '../db/schema';
import { createProject, loadProject } from '../services/projects';
import { saveChange } from '../services/save';
import { sweep } from '../store/sweep';
import { namingLetters, swellingWoff, swellingWoff2 } from '../testing/hostile-fonts';
import { ownStore } from '../testing/store';
import { importedFont, keepFont } from './font';

const store = ownStore();
const fileOf = (name: string) =>
  readFileSync(path.resolve('node_modules/@fontsource/markazi-text/files', `markazi-text-${name}`));
const arabic = fileOf('arabic-400-normal.woff2');

describe('taking in a font', () => {
  it('keeps its bytes by their hash, once, with its name and what it can write', async () => {
    const font = await keepFont(arabic, 'a.woff2');
    expect(font).toMatchObject({ name: 'Markazi Text Regular', scripts: ['Arabic'] });
    expect(await keepFont(arabic, 'other name.woff2')).toEqual(font);
    expect(await importedFont(font.hash)).toEqual({ bytes: arabic, type: 'font/woff2' });
    const latin = await keepFont(fileOf('latin-700-normal.woff'), 'b.woff');
    expect(latin.scripts).toEqual(['Latin']);
    expect((await importedFont(latin.hash)).type).toBe('font/woff');
  });

  const header = (text: string, unpacked: number) => {
    const bytes = Buffer.alloc(64);
    bytes.write(text, 'latin1');
    bytes.writeUInt32BE(unpacked, 16);
    return bytes;
  };
  it.each([
    ['empty.ttf', Buffer.alloc(0), 422, 'is empty'],
    ['note.ttf', Buffer.from('not a font at all'), 415, 'not a font that can be read'],
    ['collection.ttc', Buffer.from('ttcf\0\x01\0\0 and more'), 415, 'one font a file'],
    ['cut.woff2', arabic.subarray(0, 900), 422, 'damaged or cut short'],
    [
      'spoilt.woff2',
      Buffer.concat([arabic.subarray(0, 300), Buffer.alloc(arabic.length - 300, 7)]),
      422,
      'damaged',
    ],
    ['zeros.otf', Buffer.concat([Buffer.from('OTTO'), Buffer.alloc(400)]), 422, 'damaged'],
    ['bomb.woff2', header('wOF2', 2 ** 31), 413, 'once it is unpacked'],
    ['swelling.woff', swellingWoff(10, 60), 413, 'once it is unpacked'],
    ['swelling.woff2', swellingWoff2(100), 413, 'once it is unpacked'],
    ['large.ttf', Buffer.alloc(64 * 1024 * 1024 + 1), 413, 'is larger than 64 MB'],
  ])('refuses %s in words and leaves nothing behind', async (name, bytes, status, words) => {
    const before = store.files();
    const rows = getDb().select().from(fonts).all().length;
    await expect(keepFont(bytes, name)).rejects.toMatchObject({ status });
    await expect(keepFont(bytes, name)).rejects.toThrow(words);
    await expect(keepFont(bytes, name)).rejects.toThrow(`“${name}”`);
    expect(store.files()).toEqual(before);
    expect(getDb().select().from(fonts).all()).toHaveLength(rows);
  });

  it.each([2 ** 31 - 1, 10 ** 8])(
    'does not list the letters of a font that names %d of them',
    async (last) => {
      const font = await keepFont(namingLetters(last), 'boundless.ttf');
      expect(font.scripts).toContain('Latin');
    },
  );

  it('knows no other one', async () => {
    await expect(importedFont('f'.repeat(64))).rejects.toMatchObject({ status: 404 });
  });
});

describe('a project with a font of its own', () => {
  const noFiles = demoDocuments(() => []);
  const scene = noFiles.scenes.notice!;
  const documents = {
    project: { ...noFiles.project, pictures: [], launches: [], scenes: [scene.id] },
    scenes: { [scene.id]: { ...scene, layers: scene.layers.filter((l) => l.kind === 'ground') } },
  };

  it('is saved with a font that is kept, drawn with it, and cannot lose it while a text uses it', async () => {
    createProject(documents);
    const { id } = documents.project;
    const font = await keepFont(arabic, 'a.woff2');
    const { documents: before } = loadProject(id);
    const after = structuredClone(before);
    after.project.fonts = [{ ...font, hash: 'e'.repeat(64) }];
    const unknown = changeBetween('change-0', before, after)!;
    expect(() => saveChange(id, 1, unknown)).toThrow('is not kept here');

    after.project.fonts = [font];
    after.scenes[scene.id]!.layers.push({
      kind: 'text',
      id: 'greeting',
      name: 'Greeting',
      role: 'text',
      visible: true,
      placing: {
        x: { kind: 'middle', region: 'safe', shift: { value: 0, unit: 'lu' }, extent: { kind: 'natural' } },
        y: { kind: 'middle', region: 'safe', shift: { value: 0, unit: 'lu' }, extent: { kind: 'natural' } },
      },
      text: 'سلام',
      style: {
        font: `font:${font.hash}`,
        weight: 400,
        size: 20,
        lineHeight: 1.4,
        colour: { light: '#000000' },
        align: { x: 'end', y: 'start' },
      },
    });
    expect(saveChange(id, 1, changeBetween('change-1', before, after)!)).toEqual({ revision: 2 });

    const without = structuredClone(after);
    without.project.fonts = [];
    expect(() => saveChange(id, 2, changeBetween('change-2', after, without)!)).toThrow(
      /A font that is still used cannot go: .*Greeting/,
    );
  });

  it('keeps its font when the store is swept, and an unused one goes after a day', async () => {
    const unused = await keepFont(fileOf('latin-ext-400-normal.woff2'), 'c.woff2');
    getDb().update(fonts).set({ createdAt: '2000-01-01T00:00:00Z' }).run();
    await sweep();
    const left = getDb().select().from(fonts).all();
    expect(left.map((f) => f.name)).toEqual(['Markazi Text Regular']);
    expect(left[0]!.hash).not.toBe(unused.hash);
    expect((await importedFont(left[0]!.hash)).bytes).toEqual(arabic);
  });
});
