import { readFileSync } from 'node:fs';
import path from 'node:path';
import { brotliCompressSync, deflateSync } from 'node:zlib';
import { changeBetween } from '@/core/patch/change';
import { demoDocuments } from '../../../demo/documents';
import { unpackedFont } from '@/render/woff';
import { getDb } from '../db/client';
import { fonts } from '../db/schema';
import { createProject, loadProject } from '../services/projects';
import { saveChange } from '../services/save';
import { sweep } from '../sweep';
import { ownStore } from '../testing/store';
import { importedFont, keepFont } from './import';

const store = ownStore();
const fileOf = (name: string) =>
  readFileSync(path.resolve('node_modules/@fontsource/markazi-text/files', `markazi-text-${name}`));
const arabic = fileOf('arabic-400-normal.woff2');

/** A plain font whose table of letters says that it has all up to a code point. Source: OpenType, cmap format 12. */
function namingLetters(last: number): Buffer {
  const plain = Buffer.from(unpackedFont(fileOf('latin-400-normal.woff')));
  const cmap = Buffer.alloc(12 + 16 + 12);
  cmap.writeUInt16BE(1, 2);
  cmap.writeUInt16BE(3, 4);
  cmap.writeUInt16BE(10, 6);
  cmap.writeUInt32BE(12, 8);
  cmap.writeUInt16BE(12, 12);
  cmap.writeUInt32BE(28, 16);
  cmap.writeUInt32BE(1, 24);
  cmap.writeUInt32BE(last, 32);
  cmap.writeUInt32BE(1, 36);
  for (let i = 0; i < plain.readUInt16BE(4); i++) {
    const entry = 12 + i * 16;
    if (plain.toString('latin1', entry, entry + 4) !== 'cmap') continue;
    plain.writeUInt32BE(plain.length, entry + 8);
    plain.writeUInt32BE(cmap.length, entry + 12);
  }
  return Buffer.concat([plain, cmap]);
}

/** A WOFF whose header says little and whose tables unpack to much. */
function swellingWoff(tables: number, megabytes: number): Buffer {
  const packed = deflateSync(Buffer.alloc(megabytes * 1024 * 1024));
  const start = 44 + tables * 20;
  const header = Buffer.alloc(start);
  header.write('wOFF', 'latin1');
  header.writeUInt32BE(0x00010000, 4);
  header.writeUInt16BE(tables, 12);
  header.writeUInt32BE(1000, 16);
  for (let i = 0; i < tables; i++) {
    const at = 44 + i * 20;
    header.write(`tb${String(i).padStart(2, '0')}`, at, 'latin1');
    header.writeUInt32BE(start, at + 4);
    header.writeUInt32BE(packed.length, at + 8);
    header.writeUInt32BE(megabytes * 1024 * 1024, at + 12);
  }
  return Buffer.concat([header, packed]);
}

/** A WOFF 2 of one table that says little and unpacks to much. */
function swellingWoff2(megabytes: number): Buffer {
  const packed = brotliCompressSync(Buffer.alloc(megabytes * 1024 * 1024));
  const header = Buffer.alloc(50);
  header.write('wOF2', 'latin1');
  header.writeUInt32BE(0x00010000, 4);
  header.writeUInt16BE(1, 12);
  header.writeUInt32BE(1000, 16);
  header.writeUInt32BE(packed.length, 20);
  header.writeUInt8(0, 48);
  header.writeUInt8(100, 49);
  return Buffer.concat([header, packed]);
}

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
