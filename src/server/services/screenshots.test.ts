import sharp from 'sharp';
import { FEW_CASE } from '../testing/narrowed';
import { narrowedDemo } from '../testing/narrowed';
import { ownStore } from '../testing/store';
import { sweep } from '../sweep';
import { casePng } from './cases';
import {
  holdAgain,
  holdScreenshot,
  listScreenshots,
  removeScreenshot,
  screenshotDifference,
} from './screenshots';

ownStore();
const P = 'larkmoor-ferries';
const by = { project: P };
const of = { project: P, scene: 'winter-splash', case: FEW_CASE };
const EDGES = ['left', 'right', 'top', 'bottom'] as const;

/** The case as the server itself draws it, in device px. */
let own: Buffer;
let size: { width: number; height: number };
beforeAll(async () => {
  await narrowedDemo();
  own = await casePng({ projectId: P, sceneId: of.scene, caseId: of.case, glass: false });
  const { width, height } = await sharp(own).metadata();
  size = { width, height };
}, 120_000);

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

const hold = (bytes: Buffer, name = 'shot.png') => holdScreenshot({ ...of, name, bytes }, by);
const offs = (found: Awaited<ReturnType<typeof hold>>, axis: 'x' | 'y') =>
  found.layers.flatMap((l) => (l.found ? [l.found[axis]] : []));

describe('a real screenshot held against its case', () => {
  it('is 0 off where it is what the server draws', async () => {
    const found = await hold(own);
    expect(found.opinion).toBe('Everything that is seen agrees with the rules.');
    expect([found.scale, found.differing]).toEqual([1, 0]);
    expect(found.layers.length).toBeGreaterThan(1);
    for (const { found: at } of found.layers)
      for (const off of at ? [at.x, at.y, ...EDGES.map((e) => at.edges[e] ?? 0)] : [])
        expect(Math.abs(off)).toBeLessThan(0.3);
  }, 60_000);

  it('is 3 off where all of it lies 3 px lower', async () => {
    const found = await hold(await lower(own, 3));
    for (const y of offs(found, 'y')) expect(Math.abs(y - 3)).toBeLessThan(0.5);
    for (const x of offs(found, 'x')) expect(Math.abs(x)).toBeLessThan(0.5);
    expect(found.opinion).toContain('3 px lower than ruled');
    expect(found.layers.every((l) => !l.agrees)).toBe(true);
  }, 60_000);

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
  }, 60_000);

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

  it('is kept, held again with other parts left out, and let go', async () => {
    const before = listScreenshots(P).length;
    const found = await hold(await lower(own, 3), 'kept.png');
    expect(listScreenshots(P)).toHaveLength(before + 1);
    const whole = { x: 0, y: 0, width: 10_000, height: 10_000 };
    const blind = await holdAgain(P, found.id, [whole], by);
    expect(blind.opinion).toBe('Nothing of the scene can be made out in it.');
    expect(listScreenshots(P)[0]).toEqual(blind);
    expect((await sharp(screenshotDifference(P, found.id)).metadata()).width).toBe(size.width);
    await sweep();
    expect(await holdAgain(P, found.id, found.ignored, by)).toEqual(found);
    removeScreenshot(P, found.id);
    expect(listScreenshots(P)).toHaveLength(before);
    expect(() => removeScreenshot(P, found.id)).toThrow('This screenshot');
  }, 120_000);
});
