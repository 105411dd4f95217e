import {
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  truncateSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import sharp from 'sharp';
import { changeBetween } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { openOriginal, readOriginal } from '../blobs';
import { getDb } from '../db/client';
import { holdStore } from '../db/hold';
import { history } from '../db/schema';
import { makeArchive } from '../exports/archive';
import { readableOf } from '../exports/made';
import { keepFont } from '../importing/font';
import { keepFile } from '../importing/picture';
import { scrubStore } from './scrub';
import { preview } from '../services/pictures';
import { createEmptyProject, createProject, HISTORY, loadProject } from '../services/projects';
import { documentsAt } from '../services/revisions';
import { saveChange } from '../services/save';
import { lostFiles, verifyStore } from '../services/verify';
import { storeFolder } from '../settings';
import { sweep } from './sweep';
import { ownStore } from '../testing/store';

ownStore();

const png = (shade: string) =>
  sharp({ create: { width: 90, height: 40, channels: 3, background: shade } })
    .png()
    .toBuffer();
const fileOf = (hash: string) => path.join(storeFolder(), 'pictures', hash.slice(0, 2), hash);
const previewOf = (hash: string, width: number) =>
  path.join(storeFolder(), 'previews', hash.slice(0, 2), `${hash}-${width}.webp`);

/** Another bit in the middle of a file. */
function flip(file: string): void {
  const bytes = readFileSync(file);
  bytes.writeUInt8(bytes.readUInt8(bytes.length >> 1) ^ 1, bytes.length >> 1);
  writeFileSync(file, bytes);
}

/** A project with one picture of one file. */
async function withPicture(shade: string) {
  const bytes = await png(shade);
  const file = await keepFile(bytes, 'a.png');
  const { documents } = createEmptyProject(`With ${shade}`);
  const { hash, widthPx, heightPx } = file;
  const rendition = { hash, widthPx, heightPx, density: 1, appearance: 'light' as const, vector: false };
  const cut = { cut: 'any' as const, renditions: [rendition], keepAreas: [], focalPoint: { x: 0.5, y: 0.5 } };
  const project = {
    ...documents.project,
    id: crypto.randomUUID(),
    pictures: [{ id: 'p', name: 'P', cuts: [cut] }],
  };
  return { bytes, hash, documents: createProject({ project, scenes: {} }).documents };
}

describe('a file whose bytes are lost', () => {
  it.each<[string, (hash: string) => void]>([
    ['deleted', (hash) => unlinkSync(fileOf(hash))],
    ['cut short', (hash) => truncateSync(fileOf(hash), 20)],
  ])('is noticed when it was %s, and put back by importing it again', async (how, lose) => {
    const { bytes, hash, documents } = await withPicture(how === 'deleted' ? '#123456' : '#654321');
    expect(await lostFiles(documents)).toEqual([]);
    lose(hash);
    expect(await lostFiles(documents)).toEqual([hash]);
    expect((await verifyStore(false)).lost).toMatchObject([{ hash }]);
    expect(await keepFile(bytes, 'again.png')).toMatchObject({ hash });
    expect(await lostFiles(documents)).toEqual([]);
    expect(readFileSync(fileOf(hash)).equals(bytes)).toBe(true);
  });

  it('is noticed by a thorough look when its bytes are other ones', async () => {
    const { bytes, hash } = await withPicture('#778899');
    writeFileSync(fileOf(hash), Buffer.alloc(bytes.length, 7));
    expect((await verifyStore(false)).lost).toEqual([]);
    expect((await verifyStore(true)).lost).toMatchObject([
      { hash, why: expect.stringContaining('not those') },
    ]);
    writeFileSync(fileOf(hash), bytes);
  });

  it('is named where a bit of it was flipped, is never handed out, and is put back by importing it again', async () => {
    const { bytes, hash, documents } = await withPicture('#13579b');
    flip(fileOf(hash));
    await expect(readOriginal(hash)).rejects.toMatchObject({ status: 410, more: { lost: hash } });
    await expect(buffer(await openOriginal(hash))).rejects.toThrow('not those that were stored');
    const archive = makeArchive({ documents, revision: 0, signOffs: [] }, { open: openOriginal });
    await expect(buffer(readableOf(archive))).rejects.toThrow(hash.slice(0, 12));
    expect(await lostFiles(documents)).toEqual([hash]);
    expect((await scrubStore(0)).broken).toEqual([
      { what: 'picture', id: hash, why: expect.stringContaining('not those') },
    ]);
    await keepFile(bytes, 'again.png');
    expect(await lostFiles(documents)).toEqual([]);
    expect((await scrubStore(0)).broken).toEqual([]);
    expect((await readOriginal(hash)).equals(bytes)).toBe(true);
  });

  it.each<[string, (file: string) => void]>([
    ['flipped', flip],
    ['cut short', (file) => truncateSync(file, 10)],
    ['deleted', unlinkSync],
  ])('makes a preview again that was %s', async (_, spoil) => {
    const { hash } = await withPicture('#2468ac');
    const before = readFileSync(previewOf(hash, 64));
    spoil(previewOf(hash, 64));
    expect(await scrubStore(0)).toMatchObject({ broken: [], mended: [hash] });
    expect(readFileSync(previewOf(hash, 64)).equals(before)).toBe(true);
    expect((await scrubStore(0)).mended).toEqual([]);
  });

  it('is named of a font, and put back by importing it again', async () => {
    const bytes = readFileSync('node_modules/@fontsource/literata/files/literata-latin-400-normal.woff');
    const { hash } = await keepFont(bytes, 'l.woff');
    flip(fileOf(hash));
    expect((await scrubStore(0)).broken).toMatchObject([{ what: 'font', id: hash }]);
    await keepFont(bytes, 'l.woff');
    expect((await scrubStore(0)).broken).toEqual([]);
  });

  it('says so with a way out when it is asked for, and a preview alone is made again', async () => {
    const { hash, bytes } = await withPicture('#abcdef');
    const before = await preview(hash, 64);
    unlinkSync(previewOf(hash, 64));
    expect((await preview(hash, 64)).equals(before)).toBe(true);
    unlinkSync(previewOf(hash, 64));
    unlinkSync(fileOf(hash));
    await expect(preview(hash, 64)).rejects.toMatchObject({
      status: 410,
      message: expect.stringContaining('Import the file again'),
    });
    await keepFile(bytes, 'again.png');
    expect((await preview(hash, 64)).equals(before)).toBe(true);
  });
});

describe('the folder of a store', () => {
  it('is taken by one server, and the next is told by whom', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'coulee-held-'));
    const giveBack = holdStore(folder, 'http://127.0.0.1:3000');
    const message = `The store in ${folder} is in use by another server: http://127.0.0.1:3000, process ${process.pid}`;
    expect(() => holdStore(folder, 'http://127.0.0.1:3001')).toThrow(message);
    giveBack();
    holdStore(folder, 'http://127.0.0.1:3001')();
    rmSync(folder, { recursive: true });
  });

  it('is not written to when it was moved away, and is again when it is back', async () => {
    const { id } = createEmptyProject('Before').documents.project;
    const elsewhere = `${storeFolder()}-moved`;
    renameSync(storeFolder(), elsewhere);
    try {
      expect(() => createEmptyProject('Lost')).toThrow('The store was moved or deleted');
      await expect(keepFile(await png('#010203'), 'lost.png')).rejects.toMatchObject({ status: 503 });
    } finally {
      renameSync(elsewhere, storeFolder());
    }
    expect(createEmptyProject('After').revision).toBe(1);
    expect(loadProject(id).documents.project.name).toBe('Before');
  });
});

describe('the history of a project', () => {
  const rename = (documents: Documents, name: string) =>
    changeBetween(crypto.randomUUID(), documents, { ...documents, project: { ...documents.project, name } })!;
  const kept = (id: string) =>
    getDb()
      .$client.prepare<[string], number>('select count(*) from history where project_id = ?')
      .pluck()
      .get(id);
  /** Writes steps that lead from one name to the next, as they were saved long ago. */
  const fill = (id: string, count: number, padding = '') => {
    const step = (name: string) => JSON.stringify([{ op: 'replace', path: '/project/name', value: name }]);
    getDb().transaction((tx) => {
      for (let n = 2; n <= count + 1; n++) {
        const row = { projectId: id, revision: n, changeId: `change-${n}`, at: new Date().toISOString() };
        const inverse = step(n === 2 ? 'One' : `Name ${n - 1}`);
        tx.insert(history)
          .values({ ...row, patch: step(`Name ${n}${padding}`), inverse })
          .run();
      }
    });
    getDb()
      .$client.prepare('update projects set revision = ? where id = ?')
      .run(count + 1, id);
  };

  it('keeps so many changes, and says of what came before that it is gone', () => {
    const { documents } = createEmptyProject('One');
    const { id } = documents.project;
    fill(id, HISTORY.changes);
    expect(documentsAt(id, 1).project.name).toBe('One');
    saveChange(id, HISTORY.changes + 1, rename(documents, 'Last'));
    expect(kept(id)).toBe(HISTORY.changes);
    expect(documentsAt(id, 2).project.name).toBe('Name 2');
    expect(() => documentsAt(id, 1)).toThrow('no longer kept');
  });

  it('keeps so many bytes, the latest first', async () => {
    const { id } = createEmptyProject('One').documents.project;
    fill(id, 40, 'x'.repeat(1024 * 1024));
    await sweep();
    expect(kept(id)).toBe(31);
    expect(documentsAt(id, 20).project.name).toBe('Name 20');
    expect(() => documentsAt(id, 3)).toThrow('no longer kept');
  });
});

it('a project may have 500 scenes and 1,000 pictures', async () => {
  const { documents: one } = await withPicture('#224466');
  const scene = (id: string): Documents['scenes'][string] => ({
    id,
    name: id,
    role: 'splash',
    bars: {
      status: { shown: true },
      title: { shown: false, height: 56 },
      navigation: { shown: true, style: 'gesture' },
    },
    margin: Object.fromEntries(
      ['left', 'right', 'top', 'bottom'].map((s) => [s, { value: 0, unit: 'lu' }]),
    ) as never,
    layers: [],
  });
  const ids = Array.from({ length: 500 }, (_, i) => `scene-${i}`);
  const pictures = Array.from({ length: 1000 }, (_, i) => ({ ...one.project.pictures[0]!, id: `p${i}` }));
  const after = {
    project: { ...one.project, pictures, scenes: ids },
    scenes: Object.fromEntries(ids.map((id) => [id, scene(id)])),
  };
  const change = changeBetween(crypto.randomUUID(), one, after)!;
  expect(saveChange(one.project.id, 1, change)).toEqual({ revision: 2 });
  expect(Object.keys(loadProject(one.project.id).documents.scenes)).toHaveLength(500);
});

it.each(['constructor', '__proto__', 'toString', 'prototype'])('no scene is called %s inside', (id) => {
  const { documents } = createEmptyProject('Names');
  const patch = [
    { op: 'add' as const, path: '/project/scenes/0', value: id },
    { op: 'add' as const, path: `/scenes/${id}`, value: { id } },
  ];
  const inverse = [{ op: 'remove' as const, path: '/project/scenes/0' }];
  expect(() => saveChange(documents.project.id, 1, { id: crypto.randomUUID(), patch, inverse })).toThrow(
    expect.objectContaining({ status: 422 }),
  );
  expect(loadProject(documents.project.id).revision).toBe(1);
});
