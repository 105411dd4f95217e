import sharp from 'sharp';
import { changeBetween } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import type { Evidence } from '@/core/project/proof';
import type { Layer } from '@/core/scene/scene';
import { middleOf } from '@/core/testing/scenes';
import { readOriginal } from '../blobs';
import { getDb } from '../db/client';
import { evidence } from '../db/schema';
import { storeFolder } from '../settings';
import { FEW_CASE } from '../testing/narrowed';
import { narrowedDemo } from '../testing/narrowed';
import { ownStore } from '../testing/store';
import { sweep } from '../store/sweep';
import { casePng } from './cases';
import { loadProject } from './projects';
import { saveChange } from './save';
import { holdAgain, holdScreenshot, listScreenshots, screenshotDifference } from './screenshots';
import { upgradeProjects } from './upgrade';

ownStore('the demo');
const P = 'larkmoor-ferries';
const by = { project: P };
const of = { project: P, scene: 'winter-splash', case: FEW_CASE };
const EDGES = ['left', 'right', 'top', 'bottom'] as const;

/** The case as the server itself draws it, in device px. */
let own: Buffer;
let size: { width: number; height: number };
beforeAll(async () => {
  narrowedDemo();
  own = await casePng({ projectId: P, sceneId: of.scene, caseId: of.case, glass: false });
  const { width, height } = await sharp(own).metadata();
  size = { width, height };
});

/** All of it lower by px; what comes in at the top is its first row. */
const lower = (png: Buffer, px: number) =>
  sharp(png)
    .extract({ left: 0, top: 0, width: size.width, height: size.height - px })
    .extend({ top: px, extendWith: 'copy' })
    .png()
    .toBuffer();

/** With the signs of a status bar of another hour. */
const withBar = (png: Buffer, px: number) =>
  sharp(png)
    .composite([
      {
        input: Buffer.from(
          `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${px}"><rect width="100%" height="100%" fill="#123"/><text x="20" y="${px * 0.8}" fill="#fff" font-size="${px * 0.7}">21:47</text></svg>`,
        ),
        left: 0,
        top: 0,
      },
    ])
    .png()
    .toBuffer();

const LETTERS: Layer = {
  ...{ kind: 'text', id: 'letters', name: 'Letters', role: 'text', visible: true, text: 'A ferry goes' },
  placing: {
    x: middleOf({ kind: 'length', length: { value: 200, unit: 'lu' } }),
    y: middleOf({ kind: 'length', length: { value: 60, unit: 'lu' } }),
  },
  style: {
    ...{ font: 'sans', weight: 700, size: 28, lineHeight: 1.2, align: { x: 'middle', y: 'start' } },
    colour: { light: '#ffffff', dark: '#ffffff' },
  },
};

/** Changes the project by a step. */
function change(recipe: (documents: Documents) => void): void {
  const { documents, revision } = loadProject(P);
  const next = structuredClone(documents);
  recipe(next);
  saveChange(P, revision, changeBetween(crypto.randomUUID(), documents, next)!);
}
const keep = (list: Evidence[]) => change(({ project }) => void (project.evidence = list));

const hold = (bytes: Buffer, name = 'shot.png') => holdScreenshot({ ...of, name, bytes }, by);
const offs = (found: Awaited<ReturnType<typeof hold>>, axis: 'x' | 'y') =>
  found.layers.flatMap((l) => (l.found ? [l.found[axis]] : []));

describe('a real screenshot held against its case', () => {
  it('is 0 off where it is what the server draws', async () => {
    const found = await hold(own);
    expect(found.opinion).toBe('Everything that is looked for agrees with the rules.');
    expect([found.scale, found.differing]).toEqual([1, 0]);
    expect(found.layers.length).toBeGreaterThan(1);
    for (const { found: at } of found.layers)
      for (const off of at ? [at.x, at.y, ...EDGES.map((e) => at.edges[e] ?? 0)] : [])
        expect(Math.abs(off)).toBeLessThan(0.3);
  });

  it('is 3 off where all of it lies 3 px lower', async () => {
    const found = await hold(await lower(own, 3));
    for (const y of offs(found, 'y')) expect(Math.abs(y - 3)).toBeLessThan(0.5);
    for (const x of offs(found, 'x')) expect(Math.abs(x)).toBeLessThan(0.5);
    expect(found.opinion).toContain('3 px lower than ruled');
    expect(found.layers.every((l) => !l.agrees)).toBe(true);
  });

  it('is still 3 off with another hour in the bar, as JPEG, and half as large', async () => {
    const moved = await withBar(await lower(own, 3), 40);
    const small = await sharp(moved)
      .resize(Math.round(size.width / 2), Math.round(size.height / 2))
      .jpeg({ quality: 70 })
      .toBuffer();
    const found = await hold(small, 'shot.jpg');
    expect(found.scale).toBeCloseTo(0.5, 2);
    const ys = found.layers.flatMap((l) => (l.found && l.id !== 'harbour' ? [l.found.y] : []));
    expect(ys.length).toBeGreaterThan(0);
    for (const y of ys) expect(Math.abs(y - 3)).toBeLessThanOrEqual(0.5);
  });

  it('is refused in words where it is of another screen', async () => {
    const other = await sharp(own)
      .resize(size.width, size.height - 40, { fit: 'fill' })
      .png()
      .toBuffer();
    await expect(hold(other)).rejects.toMatchObject({
      status: 422,
      message: expect.stringMatching(
        /^This screenshot has \d+ × \d+ px, and .+ has \d+ × \d+ px\. /,
      ) as string,
    });
  });

  it('is evidence once a step says so, held again with other parts left out, and gone with a step', async () => {
    const found = await hold(await lower(own, 3), 'kept.png');
    expect(listScreenshots(P)).toEqual([]);
    keep([found]);
    expect(listScreenshots(P)).toEqual([found]);
    const all = [{ x: 0, y: 0, width: 10_000, height: 10_000 }];
    const blind = await holdAgain(P, { ...found, ignored: all }, by);
    expect(blind.opinion).toMatch(/was left out/);
    expect(blind.opinion).not.toContain('agree');
    expect(blind.layers.every((l) => l.state === 'left-out' || l.state === 'unseen')).toBe(true);
    expect((await sharp(await screenshotDifference(P, found.id)).metadata()).width).toBe(size.width);
    await sweep();
    const again = await holdAgain(P, found, by);
    expect({ ...again, id: found.id, at: found.at, revision: found.revision }).toEqual(found);
    keep([]);
    expect(listScreenshots(P)).toEqual([]);
    await expect(screenshotDifference(P, found.id)).rejects.toThrow('This screenshot');
  });

  it('is no evidence without its files', async () => {
    const found = await hold(own);
    expect(() => keep([{ ...found, hash: 'd'.repeat(64) }])).toThrow(/is not kept here/);
    expect(() => keep([{ ...found, picture: 'd'.repeat(64) }])).toThrow(/is not kept here/);
  });

  it('leaves letters out unless somebody wants them looked at', async () => {
    const { documents } = loadProject(P);
    const scene = documents.scenes['winter-splash']!;
    change((now) => now.scenes['winter-splash']!.layers.push(LETTERS));
    const with_ = await casePng({ projectId: P, sceneId: of.scene, caseId: of.case, glass: false });
    const found = await hold(with_);
    const bars = (await hold(own)).ignored.length;
    expect(found.ignored.length).toBeGreaterThanOrEqual(bars);
    expect(found.layers.find((l) => l.id === 'letters')?.found ?? null).toBeNull();
    const seen = await holdAgain(P, { ...found, ignored: [] }, by);
    expect(seen.layers.find((l) => l.id === 'letters')?.found).not.toBeNull();
    change((now) => (now.scenes['winter-splash']!.layers = scene.layers));
  });
});

it('what an earlier version kept beside the documents comes into them at a start, and nothing of it is lost', async () => {
  const { picture, ...old } = await hold(await lower(own, 3), 'old.png');
  const png = await readOriginal(picture);
  getDb()
    .insert(evidence)
    .values({ projectId: P, id: old.id, body: JSON.stringify(old), picture: png })
    .run();
  const { revision } = loadProject(P);
  expect(await upgradeProjects(storeFolder())).toEqual([]);
  expect(listScreenshots(P)).toEqual([{ ...old, picture }]);
  expect(loadProject(P).revision).toBe(revision + 1);
  expect(getDb().select().from(evidence).all()).toEqual([]);
  expect(await upgradeProjects(storeFolder())).toEqual([]);
  expect(loadProject(P).revision).toBe(revision + 1);
});
