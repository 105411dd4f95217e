import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { unzipSync } from 'fflate';
import { changeBetween } from '@/core/patch/change';
import type { Since } from '@/core/since/schema';
import { keptSignOffs } from '@/server/services/kept-sign-offs';
import { loadProject } from '@/server/services/projects';
import { saveChange } from '@/server/services/save';
import { signOff } from '@/server/services/sign-offs';
import { narrowedDemo } from '@/server/testing/narrowed';
import { ownStore } from '@/server/testing/store';
import { coulee, spawnedIn } from './testing';

ownStore('the demo');
const P = 'larkmoor-ferries';
const folder = mkdtempSync(path.join(tmpdir(), 'coulee-against-'));
const at = (name: string) => path.join(folder, name);
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const stored = () => ['--store', process.env.STORE_DIR!, '--project', P];

/** Signed off as it is, and changed for the worse since. */
beforeAll(async () => {
  narrowedDemo();
  const { revision } = loadProject(P);
  await signOff({ id: crypto.randomUUID(), by: 'Ines', why: '', revision }, { project: P });
  await coulee('export', ...stored(), '--out', at('signed'));
  const { documents } = loadProject(P);
  const after = structuredClone(documents);
  after.project.limits = after.project.limits.map((l) =>
    l.measure === 'crop' && l.max !== undefined ? { ...l, max: l.max / 4 } : l,
  );
  // The picture has another file now; the one that was signed off is only in the sign-off.
  const [first, other] = after.project.pictures;
  first!.cuts[0]!.renditions = other!.cuts[0]!.renditions;
  saveChange(P, revision, changeBetween(crypto.randomUUID(), documents, after)!);
});

describe('coulee check --against', () => {
  it('ends with 0 as long as nothing got worse, whatever is wrong besides', async () => {
    const { code, out } = await coulee('check', at('signed'), '--against', 'last');
    expect([code, out]).toEqual([0, expect.stringContaining('Nothing was changed') as string]);
  });

  it('says what got worse because of what, alike of store, folder and archive, and ends with 1', async () => {
    await coulee('export', ...stored(), '--out', at('now'));
    await coulee('export', ...stored(), '--out', at('now.zip'));
    const args = ['--against', 'last', '--fail-on', 'worse', '--as', 'json'];
    const all = [];
    for (const place of [stored(), [at('now')], [at('now.zip')]])
      all.push(await coulee('check', ...place, ...args));
    expect(all.map((a) => [a.code, a.err])).toEqual([
      [1, ''],
      [1, ''],
      [1, ''],
    ]);
    expect(all[1]!.out).toBe(all[0]!.out);
    expect(all[2]!.out).toBe(all[0]!.out);
    const since = JSON.parse(all[0]!.out) as Since;
    const worse = since.differences.filter((d) => d.direction === 'worse');
    expect(worse.length).toBeGreaterThan(0);
    const text = (await coulee('check', ...stored(), '--against', 'last')).out;
    for (const d of worse) expect(text).toContain(d.subject.name);
    for (const c of since.changes) expect(text).toContain(c.title);
    // Formats of findings hold what got worse alone.
    const csv = await coulee('check', ...stored(), '--against', 'last', '--as', 'csv');
    expect(csv.code).toBe(1);
    const whole = await coulee('check', ...stored(), '--as', 'csv');
    expect(csv.out.length).toBeLessThan(whole.out.length);
  });

  it('takes a sign-off as a file, which is the one in the folder and in the archive', async () => {
    const { id, text } = keptSignOffs(P)[0]!;
    expect(readFileSync(path.join(at('now'), 'sign-offs', `${id}.json`), 'utf8')).toBe(text);
    const parts = unzipSync(readFileSync(at('now.zip')));
    expect(Buffer.from(parts[`sign-offs/${id}.json`]!).toString()).toBe(text);
    writeFileSync(at('mine.json'), text);
    expect((await coulee('check', ...stored(), '--against', at('mine.json'))).code).toBe(1);
    const part = ['--against', id.slice(0, 8), '--scene', 'Winter splash'];
    const scene = await coulee('check', ...stored(), ...part);
    expect([scene.code, scene.out]).toEqual([1, expect.not.stringContaining('System window') as string]);
  });

  it.each([
    [['--against', 'first'], 'There is no sign-off “first”'],
    [['--fail-on', 'worse'], '--against last'],
  ])('refuses %j in words', async (args, words) => {
    const { code, err } = await coulee('check', ...stored(), ...args);
    expect([code, err]).toEqual([2, expect.stringContaining(words) as string]);
  });

  it('names what was changed in a sign-off', async () => {
    const { text } = keptSignOffs(P)[0]!;
    writeFileSync(at('forged.json'), text.replace('"fail"', '"warn"'));
    const { code, err } = await coulee('check', ...stored(), '--against', at('forged.json'));
    expect([code, err]).toEqual([
      2,
      expect.stringMatching(/not as it was signed: the (project|review)/) as string,
    ]);
  });

  it('comes back with an archive that is imported, to the byte', () => {
    const spawned = spawnedIn(folder);
    expect(spawned('import', 'now.zip', '--store', 'other')).toMatchObject({ code: 0, err: '' });
    expect(spawned('export', '--store', 'other', '--out', 'again.zip')).toMatchObject({ code: 0, err: '' });
    expect(readFileSync(at('again.zip')).equals(readFileSync(at('now.zip')))).toBe(true);
  });
});
