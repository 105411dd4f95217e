import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { unzipSync, zipSync, type Zippable } from 'fflate';
import { makeArchive } from '../exports/archive';
import { readableOf } from '../exports/made';
import { openOriginal } from '../blobs';
import { Problem } from '../problem';
import { ownStore } from '../testing/store';
import { ARCHIVE_LIMITS } from '../archives/zip';
import { importArchive } from './archive';
import { keptSignOffs } from './kept-sign-offs';
import { deleteProject, listProjects, loadProject, removeProject } from './projects';

const store = ownStore('the demo');
const folder = mkdtempSync(path.join(tmpdir(), 'coulee-archive-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const ID = 'larkmoor-ferries';

const archive = (id = ID): Promise<Buffer> =>
  buffer(readableOf(makeArchive({ ...loadProject(id), signOffs: keptSignOffs(id) }, { open: openOriginal })));
let n = 0;
const onDisk = (bytes: Uint8Array): string => {
  const file = path.join(folder, `${n++}.zip`);
  writeFileSync(file, bytes);
  return file;
};
let own: Buffer;
let parts: Record<string, Uint8Array>;
beforeAll(async () => {
  own = await archive();
  // Somebody who changes an archive by hand takes the digest out of it.
  const { digest: _, ...header } = JSON.parse(new TextDecoder().decode(unzipSync(own)['coulee.json'])) as {
    digest: string;
  };
  parts = { ...unzipSync(own), 'coulee.json': text(header) };
});

const text = (value: unknown) => new TextEncoder().encode(JSON.stringify(value));
const json = (name: string) => JSON.parse(new TextDecoder().decode(parts[name])) as Record<string, unknown>;

describe('a project as an archive', () => {
  it('is the same to the byte whenever it is made, its entries in order', async () => {
    expect((await archive()).equals(own)).toBe(true);
    const names = Object.keys(parts);
    expect(names).toEqual(names.toSorted());
    expect(names).toEqual(expect.arrayContaining(['coulee.json', 'files.json', 'project.json']));
  });

  it('comes back the very same where nothing has its id, and goes out again to the byte', async () => {
    const before = loadProject(ID);
    deleteProject(ID);
    removeProject(ID);
    const back = await importArchive(onDisk(own));
    expect(back).toEqual(before);
    expect((await archive()).equals(own)).toBe(true);
  });

  it('becomes a copy beside the project that it was taken from, also a deleted one', async () => {
    const { documents } = await importArchive(onDisk(own));
    expect(documents.project.id).not.toBe(ID);
    expect(documents.project.name).toBe('Larkmoor Ferries (copy)');
    expect(loadProject(ID).documents.project.name).toBe('Larkmoor Ferries');
    deleteProject(ID);
    const again = await importArchive(onDisk(own));
    expect([ID, documents.project.id]).not.toContain(again.documents.project.id);
  });

  it('of an older version is read as this one', async () => {
    const project = json('project.json');
    const limits = (project.limits as { measure: string }[]).filter((l) => l.measure !== 'centre-of-gravity');
    const old = { ...parts, 'project.json': text({ ...project, id: 'older', schema: 4, limits }) };
    const { documents } = await importArchive(onDisk(zipSync(old)));
    expect(documents.project.limits.some((l) => l.measure === 'centre-of-gravity')).toBe(true);
  });

  const some = () => Object.keys(parts).find((name) => name.startsWith('files/'))!;
  const bad: [string, () => Uint8Array, string][] = [
    ['no ZIP', () => Buffer.from('PK but not really'), 'it is no ZIP'],
    ['empty', () => Buffer.alloc(0), 'it is no ZIP'],
    ['cut short', () => own.subarray(0, own.length - 400), 'it is no ZIP'],
    ['a file outside it', () => zipSync({ ...parts, '../evil.json': text({}) }), 'names files outside it'],
    ['an absolute path', () => zipSync({ ...parts, '/etc/passwd': text({}) }), 'names files outside it'],
    [
      'another archive in it',
      () => zipSync({ ...parts, 'inner.zip': new Uint8Array(own) }),
      '“inner.zip” is no file of a project',
    ],
    [
      'a folder in a folder',
      () => zipSync({ ...parts, 'files/a/b': text({}) }),
      '“files/a/b” is no file of a project',
    ],
    [
      'a document that is missing',
      () => zipSync(Object.fromEntries(Object.entries(parts).filter(([k]) => k !== 'scenes/sign-in.json'))),
      'scenes/sign-in.json: it is missing.',
    ],
    [
      'a file that is missing',
      () => zipSync(Object.fromEntries(Object.entries(parts).filter(([k]) => k !== some()))),
      'is missing.',
    ],
    [
      'a file that is another one',
      () => zipSync({ ...parts, [some()]: text({ not: 'it' }) }),
      'its bytes do not fit its hash',
    ],
    [
      'documents that are damaged',
      () => zipSync({ ...parts, 'scenes/sign-in.json': text({ id: 'sign-in' }) }),
      'its documents are damaged',
    ],
    [
      'a newer version',
      () => zipSync({ ...parts, 'project.json': text({ ...json('project.json'), schema: 99 }) }),
      'Update Coulee to open them',
    ],
    [
      'a layer twice',
      () => {
        const scene = json('scenes/sign-in.json');
        const layers = scene.layers as Record<string, unknown>[];
        return zipSync({
          ...parts,
          'scenes/sign-in.json': text({ ...scene, layers: [...layers, layers[0]] }),
        });
      },
      'names two layers',
    ],
    [
      'too many files',
      () =>
        zipSync(
          Object.fromEntries(
            Array.from({ length: ARCHIVE_LIMITS.entries + 1 }, (_, i) => [`files/${i}`, new Uint8Array(0)]),
          ) as Zippable,
        ),
      'holds more than 5000 files',
    ],
    [
      'a document in which a byte was changed on the way',
      () => flipped('project.json'),
      'not those that were packed',
    ],
    [
      'a document that was changed beside its digest',
      () => zipSync({ ...unzipSync(own), 'project.json': text({ ...json('project.json'), name: 'Other' }) }),
      'take “digest” out of it',
    ],
    [
      'too many folders',
      () =>
        zipSync({
          ...parts,
          ...(Object.fromEntries(
            Array.from({ length: ARCHIVE_LIMITS.entries + 1 }, (_, i) => [`files/${i}/`, new Uint8Array(0)]),
          ) as Zippable),
        }),
      'holds more than 5000 files',
    ],
    ['more than it says once it is unpacked', () => grown(), 'is damaged, or is not as large as it says'],
    ['10 GB once it is unpacked', () => bomb(), 'once it is unpacked'],
  ];

  /** One letter of a file that is not packed is another one. */
  function flipped(name: string): Uint8Array {
    const zip = Buffer.from(zipSync(parts, { level: 0 }));
    const at = zip.indexOf('Larkmoor Ferries', zip.indexOf(name));
    zip.writeUInt8(zip.readUInt8(at) ^ 1, at);
    return zip;
  }

  /** A file that says it is short, and is not. */
  function grown(): Uint8Array {
    const zip = Buffer.from(zipSync({ ...parts, 'project.json': [new Uint8Array(4_000_000), { level: 9 }] }));
    const at = zip.lastIndexOf('project.json') - 46;
    zip.writeUInt32LE(100, at + 24);
    return zip;
  }

  /** Says of each of its files that there are 60 MB of it, of all of them together over 2 GB. */
  function bomb(): Uint8Array {
    const files = Array.from({ length: 40 }, (_, i) => [`files/${i}`, new Uint8Array(10)] as const);
    const zip = Buffer.from(zipSync(Object.fromEntries(files)));
    for (let at = zip.indexOf('PK\x01\x02'); at >= 0; at = zip.indexOf('PK\x01\x02', at + 1))
      zip.writeUInt32LE(60 * 1024 * 1024, at + 24);
    return zip;
  }

  it('reads nothing that nobody names: hundreds of documents of megabytes beside it cost nothing', async () => {
    const idle = new Uint8Array(4_000_000).fill(32);
    const beside = Object.fromEntries(
      Array.from({ length: 300 }, (_, i) => [`scenes/idle-${i}.json`, [idle, { level: 9 }]]),
    ) as Zippable;
    const { documents } = await importArchive(onDisk(zipSync({ ...parts, ...beside })));
    expect(Object.keys(documents.scenes)).toEqual(documents.project.scenes);
  });

  it.each(bad)(
    'is refused in words when it is %s, and leaves nothing behind',
    async (_, made, said) => {
      const before = [listProjects(), store.files()];
      const file = onDisk(made());
      const refused: unknown = await importArchive(file).catch((error: unknown) => error);
      expect(refused).toBeInstanceOf(Problem);
      expect(refused).toMatchObject({ status: 422, message: expect.stringContaining(said) as string });
      expect([listProjects(), store.files()]).toEqual(before);
      expect(readdirSync(folder).filter((f) => f.endsWith('.part'))).toEqual([]);
    },
    60_000,
  );
});
