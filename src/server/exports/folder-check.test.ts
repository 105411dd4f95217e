import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { zipSync } from 'fflate';
import sharp, { type Sharp } from 'sharp';
import { DEFAULT_PATTERN } from '@/formats/files/names';
import type { FolderRule } from '@/formats/files/folder';
import type { Documents } from '@/core/project/documents';
import type { Picture } from '@/core/pictures/picture';
import { demoDocuments } from '../../../demo/documents';
import { keepFile } from '../importing/picture';
import { ownStore } from '../testing/store';
import { checkZip, sharedFolder } from './folder-check';

const store = ownStore();
const folder = mkdtempSync(path.join(tmpdir(), 'coulee-check-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const FILES = 80;
const BY = { project: 'checked' };
const side = (n: number) => 20 + n;

/** A picture of its own for each number: two colours, one above the other; even ones have a hole. */
function drawing(n: number, size = side(n)): Sharp {
  const hue = (n * 137) % 360;
  const hole = n % 2 === 0 ? '' : `<rect width="100%" height="100%" fill="hsl(${hue} 30% 20%)"/>`;
  return sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}">${hole}<rect width="100%" height="${10 + n}%" fill="hsl(${hue} 70% 60%)"/></svg>`,
    ),
  );
}

let documents: Documents;
let files: Record<string, Buffer>;
beforeAll(async () => {
  const demo = demoDocuments(() => []);
  const scene = Object.values(demo.scenes).find((s) => s.layers.some((l) => l.kind === 'picture'))!;
  const layer = scene.layers.find((l) => l.kind === 'picture')!;
  const pictures: Picture[] = [];
  files = {};
  for (let n = 0; n < FILES; n++) {
    const image = drawing(n);
    const bytes = await (n % 2 === 0 ? image : image.removeAlpha()).png().toBuffer();
    const { hash, widthPx, heightPx, transparent } = await keepFile(bytes, 'a.png');
    const rendition = { hash, widthPx, heightPx, density: 1, appearance: 'light' as const, vector: false };
    pictures.push({
      id: `p${n}`,
      name: `p${n}`,
      cuts: [
        {
          cut: 'any',
          renditions: [{ ...rendition, transparent }],
          keepAreas: [],
          focalPoint: { x: 0.5, y: 0.5 },
        },
      ],
    });
    files[`p${n}.png`] = bytes;
  }
  const layers = pictures.map((p) => ({ ...layer, id: `l${p.id}`, picture: p.id }));
  documents = {
    ...demo,
    project: { ...demo.project, pictures, scenes: [scene.id] },
    scenes: { [scene.id]: { ...scene, layers } },
  } as Documents;
});

const onDisk = (bytes: Uint8Array): string => {
  const file = path.join(folder, `${readdirSync(folder).length}.zip`);
  writeFileSync(file, bytes);
  return file;
};
const check = (of: Record<string, Uint8Array>, heaviest?: number) =>
  checkZip(documents, onDisk(zipSync(of)), { pattern: DEFAULT_PATTERN, heaviest }, BY);

const wide = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><rect width="10" height="10" fill="#345"/></svg>',
);
type Spoil = (files: Record<string, Buffer>) => Promise<void> | void;
/** Numbers that are far apart, odd ones where the file must not be see-through. */
const SPOILT: Partial<Record<FolderRule, Spoil>> = {
  missing: (f) => void delete f['p1.png'],
  'named-otherwise': (f) => {
    f['P3.png'] = f['p3.png']!;
    delete f['p3.png'];
  },
  swapped: (f) => void (f['p5.png'] = f['p7.png']!),
  'wrong-size': async (f) =>
    void (f['p9.png'] = await drawing(9, side(9) + 3)
      .removeAlpha()
      .png()
      .toBuffer()),
  'not-a-picture': (f) => void (f['p11.png'] = f['p11.png']!.subarray(0, 60)),
  'wrong-type': async (f) => void (f['p13.png'] = await sharp(f['p13.png']).jpeg({ quality: 95 }).toBuffer()),
  alpha: async (f) => void (f['p15.png'] = await sharp(f['p15.png']).ensureAlpha(0.97).png().toBuffer()),
  profile: async (f) => void (f['p17.png'] = await sharp(f['p17.png']).withIccProfile('p3').png().toBuffer()),
  edited: async (f) =>
    void (f['p19.png'] = await sharp(f['p19.png']).modulate({ brightness: 1.02 }).png().toBuffer()),
  'another-picture': async (f) =>
    void (f['p21.png'] = await sharp(wide).resize(side(21), side(21)).removeAlpha().png().toBuffer()),
  twice: (f) => void (f['old/p25.png'] = f['p25.png']!),
  surplus: async (f) => void (f['left-over.png'] = await drawing(300, 40).png().toBuffer()),
};

describe('a folder in a ZIP', () => {
  it('has nothing wrong with it where it is what the project would write, packed with its folder or without', async () => {
    expect(await check(files)).toEqual({ faults: [], found: FILES, wanted: FILES });
    const inside = Object.fromEntries(Object.entries(files).map(([name, b]) => [`shipped/${name}`, b]));
    expect((await check(inside)).faults).toEqual([]);
  });

  it('has each of its faults found among 80 files, and no other', async () => {
    const spoilt = { ...files };
    for (const spoil of Object.values(SPOILT)) await spoil(spoilt);
    const { faults, found } = await check(spoilt);
    expect(found).toBe(FILES + 1);
    expect(Object.fromEntries(faults.map((f) => [f.rule, f.path]))).toEqual({
      missing: 'p1.png',
      'named-otherwise': 'P3.png',
      swapped: 'p5.png',
      'wrong-size': 'p9.png',
      'not-a-picture': 'p11.png',
      'wrong-type': 'p13.png',
      alpha: 'p15.png',
      profile: 'p17.png',
      edited: 'p19.png',
      'another-picture': 'p21.png',
      twice: 'old/p25.png',
      surplus: 'left-over.png',
    });
    expect(faults).toHaveLength(12);
  });

  it('has every file named that is heavier than is allowed', async () => {
    const most = Math.max(...Object.values(files).map((b) => b.length)) - 1;
    const heavy = Object.entries(files).filter(([, b]) => b.length > most);
    const { faults } = await check(files, most);
    expect(faults.map((f) => [f.rule, f.path])).toEqual(heavy.map(([name]) => ['too-heavy', name]));
  });

  it.each<[string, () => Uint8Array, RegExp]>([
    ['names a file outside it', () => zipSync({ ...files, '../evil.png': files['p1.png']! }), /outside it/],
    ['is cut short', () => zipSync(files).subarray(0, 5000), /no ZIP, or it was cut short/],
    ['is no ZIP', () => files['p1.png']!, /no ZIP/],
    [
      'has a file that is longer than it says',
      () => {
        const zip = Buffer.from(zipSync({ 'a.png': [new Uint8Array(4_000_000), { level: 9 }] }));
        // The uncompressed size in the central directory. Source: APPNOTE.TXT 4.3.12.
        const at = zip.lastIndexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02]));
        zip.writeUInt32LE(100, at + 24);
        return zip;
      },
      /not as large as it says/,
    ],
  ])('is refused in words where it %s, and nothing of it is kept', async (_, zip, why) => {
    const asked = { pattern: DEFAULT_PATTERN };
    const before = store.files();
    await expect(checkZip(documents, onDisk(zip()), asked, BY)).rejects.toThrow(why);
    await expect(checkZip(documents, onDisk(zip()), asked, BY)).rejects.toMatchObject({ status: 422 });
    expect(store.files()).toEqual(before);
  });
});

describe('the folder that all files of a ZIP lie in', () => {
  const wanted = [{ path: 'set/a.png' }];
  it.each<[string[], string]>([
    [['set/a.png'], ''],
    [['out/set/a.png', 'out/b.png'], 'out/'],
    [['out/a.png', 'other/b.png'], ''],
    [['a.png'], ''],
    [[], ''],
  ])('of %j is “%s”', (paths, folderName) => expect(sharedFolder(paths, wanted)).toBe(folderName));
});
