import { execFileSync } from 'node:child_process';
import {
  lstatSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import sharp from 'sharp';
import type { Evidence } from '@/core/project/proof';
import { demoDocuments } from '../../demo/documents';
import { holdStore } from '@/server/db/hold';
import { keepFont } from '@/server/importing/font';
import { keepFile } from '@/server/importing/picture';
import { createProject } from '@/server/services/projects';
import { ownStore } from '@/server/testing/store';
import { coulee, spawnedIn } from './testing';

ownStore();
const folder = mkdtempSync(path.join(tmpdir(), 'coulee-taken-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const at = (name: string) => path.join(folder, name);
const ID = 'larkmoor-ferries';

const spawned = spawnedIn(folder);
const stored = () => ['--store', process.env.STORE_DIR!];

/** Everything in a folder, by its path. */
const contents = (of: string) =>
  new Map(
    readdirSync(of, { recursive: true, withFileTypes: true, encoding: 'utf8' })
      .filter((e) => e.isFile())
      .map((e) => path.join(e.parentPath, e.name))
      .map((file) => [path.relative(of, file), readFileSync(file).toString('base64')]),
  );

/** A real screenshot as it is kept with a project. */
const evidenceOf = (hash: string, picture: string): Evidence => ({
  ...{ id: 'shot-1', scene: 'winter-splash', case: 'phone-360x640-2x.0.light', name: 'My phone.PNG' },
  ...{ hash, picture, at: '2026-01-05T09:00:00.000Z', revision: 1, scale: 1, ignored: [] },
  ...{ layers: [], opinion: 'Everything that is seen agrees with the rules.', differing: 0 },
});

beforeAll(async () => {
  const colour = { create: { width: 40, height: 30, channels: 3, background: '#f80' } } as const;
  const kept = await keepFile(await sharp(colour).png().toBuffer(), 'one.png');
  const font = await keepFont(
    readFileSync('node_modules/@fontsource/markazi-text/files/markazi-text-latin-400-normal.woff2'),
    'own.woff2',
  );
  const { hash, widthPx, heightPx } = kept;
  const documents = demoDocuments(() => [
    { hash, widthPx, heightPx, density: 1, appearance: 'light', vector: false },
  ]);
  const shot = await keepFile(await sharp(colour).extend({ top: 1 }).png().toBuffer(), 'shot.png');
  const differs = await keepFile(await sharp(colour).extend({ left: 1 }).png().toBuffer(), 'differs.png');
  const evidence = [evidenceOf(shot.hash, differs.hash)];
  createProject({ ...documents, project: { ...documents.project, fonts: [font], evidence } });
  expect(await coulee('export', ...stored(), '--out', at('own'))).toMatchObject({ code: 0, err: '' });
  expect(await coulee('export', ...stored(), '--out', at('own.zip'))).toMatchObject({ code: 0, err: '' });
});

describe('a project that was taken along', () => {
  it('is the same as a folder and as an archive, made of one another, to the byte', async () => {
    expect(readdirSync(at('own/screenshots'))).toEqual(['my-phone-differs.png', 'my-phone.png']);
    await coulee('export', at('own.zip'), '--out', at('from-zip'));
    expect(contents(at('from-zip'))).toEqual(contents(at('own')));
    await coulee('export', at('own'), '--out', at('from-folder.zip'));
    expect(readFileSync(at('from-folder.zip')).equals(readFileSync(at('own.zip')))).toBe(true);
    expect(readdirSync(folder).filter((f) => f.endsWith('.part'))).toEqual([]);
  });

  it('is read by every command, as a folder and as an archive alike', async () => {
    for (const args of [['screens'], ['sheet', '--scene', 'winter-splash']]) {
      const [command, ...more] = args as [string, ...string[]];
      const ofFolder = await coulee(command, at('own'), ...more);
      expect(ofFolder).toMatchObject({ code: 0, err: '' });
      expect(await coulee(command, at('own.zip'), ...more)).toEqual(ofFolder);
    }
  });

  it('is taken into an empty store under its own id, and comes out of it to the byte', async () => {
    for (const form of ['own', 'own.zip']) {
      const store = at(`store of ${form}`);
      expect(spawned('import', at(form), '--store', store)).toEqual({
        code: 0,
        out: `“Larkmoor Ferries” was imported as ${ID}.\n`,
        err: '',
      });
      await coulee('export', '--store', store, '--out', at('back.zip'));
      expect(readFileSync(at('back.zip')).equals(readFileSync(at('own.zip')))).toBe(true);
    }
  });

  it('becomes a copy beside the same one', async () => {
    const store = at('store of twins');
    spawned('import', at('own'), '--store', store);
    const { code, out } = spawned('import', at('own.zip'), '--store', store);
    expect(code).toBe(0);
    expect(out).toMatch(/^“Larkmoor Ferries \(copy\)” was imported as (?!larkmoor-ferries\.)/);
    const twice = await coulee('check', '--store', store);
    expect(twice).toMatchObject({ code: 2 });
    expect(twice.err).toContain('Say which project is meant');
  });
});

describe('a folder in which others have been', () => {
  it('is written anew, and through no link into somewhere else', async () => {
    const [out, elsewhere] = [at('linked'), at('elsewhere.txt')];
    expect(await coulee('export', ...stored(), '--project', ID, '--out', out)).toMatchObject({ code: 0 });
    writeFileSync(elsewhere, 'mine');
    rmSync(path.join(out, 'project.json'));
    symlinkSync(elsewhere, path.join(out, 'project.json'));
    expect(await coulee('export', ...stored(), '--project', ID, '--out', out)).toMatchObject({ code: 0 });
    expect(readFileSync(elsewhere, 'utf8')).toBe('mine');
    expect(lstatSync(path.join(out, 'project.json')).isSymbolicLink()).toBe(false);
    symlinkSync(elsewhere, at('linked.zip.part'));
    expect(await coulee('export', ...stored(), '--project', ID, '--out', at('linked.zip'))).toMatchObject({
      code: 0,
    });
    expect(readFileSync(elsewhere, 'utf8')).toBe('mine');
  });

  it('is refused where a file of it is a pipe, which would be waited for', async () => {
    const out = at('piped');
    expect(await coulee('export', ...stored(), '--project', ID, '--out', out)).toMatchObject({ code: 0 });
    rmSync(path.join(out, 'files.json'));
    execFileSync('mkfifo', [path.join(out, 'files.json')]);
    expect(await coulee('check', out)).toMatchObject({ code: 2, err: expect.stringContaining('is no file') });
  });
});

describe('what cannot be taken in', () => {
  it('is refused in words, and nothing of it is left in the store', async () => {
    writeFileSync(at('cut.zip'), readFileSync(at('own.zip')).subarray(0, 4000));
    writeFileSync(at('cake.zip'), 'cake');
    await coulee('export', at('own'), '--out', at('without'));
    rmSync(path.join(at('without'), 'scenes', 'winter-splash.json'));
    const store = at('store of nothing');
    for (const [place, words] of [
      ['cut.zip', /it is no ZIP, or it was cut short/],
      ['cake.zip', /it is no ZIP/],
      ['without', /winter-splash\.json: it is missing/],
      ['nowhere', /There is no project in/],
    ] as const) {
      const { code, err } = spawned('import', at(place), '--store', store);
      expect([place, code]).toEqual([place, 2]);
      expect(err).toMatch(words);
    }
    expect((await coulee('screens', '--store', store)).err).toContain('has no project');
    expect([...contents(store).keys()].filter((f) => f.startsWith('pictures/'))).toEqual([]);
  });

  it('is whatever goes into a store that a server has', () => {
    const store = at('store in use');
    const giveBack = holdStore(store, 'http://127.0.0.1:1');
    try {
      const { code, err } = spawned('import', at('own'), '--store', store);
      expect(code).toBe(2);
      expect(err).toContain('in use by a server. Open the archive on its start page');
    } finally {
      giveBack();
    }
  });

  it('is not read by any other command either', async () => {
    writeFileSync(at('cake.zip'), 'cake');
    const { code, err } = await coulee('check', at('cake.zip'));
    expect(code).toBe(2);
    expect(err).toContain('it is no ZIP');
  });
});
