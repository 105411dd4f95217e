import Database from 'better-sqlite3';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { changeBetween } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { filesOf } from '@/core/project/documents';
import { getDb } from '../db/client';
import { databaseIn } from '../there';
import { narrowedDemo } from '../testing/narrowed';
import { ownStore } from '../testing/store';
import { sweep } from '../store/sweep';
import { keptSignOffs } from './kept-sign-offs';
import { loadProject, removeProject, deleteProject } from './projects';
import { saveChange } from './save';
import { caseSince, sinceSignOff } from './since';
import { listSignOffs, loadSignOff, signOff } from './sign-offs';

ownStore('the demo');
const P = 'larkmoor-ferries';
const by = { project: P };
const asked = (revision: number) => ({
  id: crypto.randomUUID() as string,
  by: 'Ines',
  why: 'For the test',
  revision,
});
const change = (recipe: (d: Documents) => void) => {
  const { revision, documents } = loadProject(P);
  const after = structuredClone(documents);
  recipe(after);
  saveChange(P, revision, changeBetween(crypto.randomUUID(), documents, after)!);
};
/** Edits the store as somebody does who goes past the product. */
const behindItsBack = (sql: string) => {
  const db = new Database(databaseIn(process.env.STORE_DIR!));
  try {
    db.exec(sql);
  } finally {
    db.close();
  }
};

let first: ReturnType<typeof asked>;
beforeAll(async () => {
  narrowedDemo();
  first = asked(loadProject(P).revision);
  await signOff(first, by);
});

describe('a sign-off of a stored project', () => {
  it('is listed with what was found then, and signed once however often it is sent', async () => {
    await signOff(first, by);
    const list = listSignOffs(P);
    expect(list).toHaveLength(1);
    expect(list[0]).toMatchObject({
      id: first.id,
      signOff: { by: 'Ines', why: 'For the test', revision: first.revision },
    });
    const { review, documents } = await loadSignOff(P, first.id);
    expect(documents).toEqual(loadProject(P).documents);
    expect(list[0]).toMatchObject({ signOff: { found: { fail: expect.any(Number) as number } } });
    expect(review!.revision).toBe(first.revision);
  });

  it('is refused where the project was changed since it was looked at', async () => {
    await expect(signOff(asked(first.revision + 5), by)).rejects.toMatchObject({ status: 409 });
    expect(listSignOffs(P)).toHaveLength(1);
  });

  it('is compared with what is now, case by case, and drawn then, now, and where both differ', async () => {
    const nothing = await sinceSignOff(P, first.id);
    expect([nothing.changes, nothing.differences]).toEqual([[], []]);
    change((d) => {
      d.project.limits = d.project.limits.map((l) =>
        l.measure === 'crop' && l.max !== undefined ? { ...l, max: l.max / 4 } : l,
      );
      d.scenes['winter-splash']!.layers.at(-1)!.opacity = 0.2;
    });
    const since = await sinceSignOff(P, first.id);
    expect(since.differences.some((d) => d.direction === 'worse' && d.measure === 'crop')).toBe(true);
    const [crop] = since.differences.filter((d) => d.measure === 'crop');
    expect(crop!.causes.map((i) => since.changes[i]!.title)).toEqual([
      expect.stringMatching(/crop/) as string,
    ]);
    const of = {
      projectId: P,
      signOffId: first.id,
      sceneId: 'winter-splash',
      caseId: crop!.worst.caseId!,
      scale: 0.5,
    };
    const drawn = await Promise.all(
      (['then', 'now', 'difference'] as const).map((show) => caseSince({ ...of, show })),
    );
    expect(new Set(drawn.map((png) => png.toString('base64'))).size).toBe(3);
    await expect(caseSince({ ...of, caseId: 'none.0.light', show: 'now' })).rejects.toMatchObject({
      status: 404,
    });
  });

  it('keeps its files when the project has no use for them any more', async () => {
    const { documents } = await loadSignOff(P, first.id);
    const [hash] = filesOf(documents.project.pictures);
    const file = path.join(process.env.STORE_DIR!, 'pictures', hash!.slice(0, 2), hash!);
    await sweep();
    expect(readFileSync(file).length).toBeGreaterThan(0);
    // A byte of it that is another one is found, and named.
    const bytes = readFileSync(file);
    bytes[100] = bytes[100]! ^ 1;
    writeFileSync(file, bytes);
    try {
      await expect(loadSignOff(P, first.id)).rejects.toMatchObject({
        status: 409,
        message: expect.stringContaining(hash!.slice(0, 12)) as string,
      });
    } finally {
      bytes[100] = bytes[100]! ^ 1;
      writeFileSync(file, bytes);
    }
    await loadSignOff(P, first.id);
  });

  it('cannot be changed in the store, and where it was by force, that is said with what was', async () => {
    expect(() => behindItsBack(`update sign_offs set body = replace(body, 'Ines', 'Anna')`)).toThrow(
      'A sign-off is never changed.',
    );
    const text = keptSignOffs(P)[0]!.text;
    behindItsBack(
      `drop trigger sign_offs_stay; update sign_offs set body = replace(body, '"by":"Ines"', '"by":"Anna"')`,
    );
    await expect(loadSignOff(P, first.id)).rejects.toMatchObject({ status: 409 });
    expect(listSignOffs(P)).toEqual([
      { id: first.id, fault: expect.stringContaining('who signed it') as string },
    ]);
    await expect(sinceSignOff(P, first.id)).rejects.toMatchObject({ status: 409 });
    behindItsBack(`update sign_offs set body = replace(body, '"by":"Anna"', '"by":"Ines"')`);
    expect(keptSignOffs(P)[0]!.text).toBe(text);
    await loadSignOff(P, first.id);
  });

  it('goes with its project, and not before', () => {
    deleteProject(P);
    expect(keptSignOffs(P)).toHaveLength(1);
    removeProject(P);
    expect(keptSignOffs(P)).toHaveLength(0);
    expect(getDb()).toBeDefined();
  });
});
