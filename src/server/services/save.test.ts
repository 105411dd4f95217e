import { changeBetween, inverted, type Change } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { getDb } from '../db/client';
import { and, eq } from 'drizzle-orm';
import { documents as documentRows, history, projects } from '../db/schema';
import { projectCards } from './cards';
import { ownStore } from '../testing/store';
import {
  createEmptyProject,
  deleteProject,
  duplicateProject,
  listDeleted,
  listProjects,
  loadProject,
  rawDocuments,
  recentChanges,
  removeProject,
  restoreProject,
} from './projects';
import { documentsAt, listRevisions } from './revisions';
import { saveChange } from './save';

ownStore();

let counter = 0;
const nextId = () => `change-${++counter}`;
const change = (before: Documents, edit: (after: Documents) => void): Change => {
  const after = structuredClone(before);
  edit(after);
  return changeBetween(nextId(), before, after)!;
};
const rename = (before: Documents, name: string) => change(before, (d) => (d.project.name = name));
const fresh = () => {
  const { documents, revision } = createEmptyProject('Test');
  return { id: documents.project.id, documents, revision };
};

describe('saving', () => {
  it('goes on from the revision that was seen, and can be undone by its inverse', () => {
    const { id, documents } = fresh();
    const step = rename(documents, 'Renamed');
    expect(saveChange(id, 1, step)).toEqual({ revision: 2 });
    expect(loadProject(id).documents.project.name).toBe('Renamed');
    expect(listProjects().find((p) => p.id === id)!.name).toBe('Renamed');
    expect(saveChange(id, 2, inverted(nextId(), step))).toEqual({ revision: 3 });
    expect(loadProject(id).documents).toEqual(documents);
    expect(recentChanges(id)).toHaveLength(2);
  });

  it('can show how the documents were at any revision', () => {
    const { id, documents } = fresh();
    saveChange(id, 1, rename(documents, 'Second'));
    saveChange(id, 2, rename(loadProject(id).documents, 'Third'));
    expect(listRevisions(id).map((r) => r.revision)).toEqual([3, 2]);
    expect(documentsAt(id, 1)).toEqual(documents);
    expect(documentsAt(id, 2).project.name).toBe('Second');
    expect(documentsAt(id, 3).project.name).toBe('Third');
    for (const none of [0, 4, 1.5, NaN])
      expect(() => documentsAt(id, none)).toThrow(expect.objectContaining({ status: 404 }));
  });

  it('gives the same change the same answer, also after others', () => {
    const { id, documents } = fresh();
    const step = rename(documents, 'Once');
    saveChange(id, 1, step);
    saveChange(id, 2, rename(loadProject(id).documents, 'Twice'));
    expect(saveChange(id, 1, step)).toEqual({ revision: 2 });
    expect(loadProject(id)).toMatchObject({ revision: 3, documents: { project: { name: 'Twice' } } });
  });

  it('refuses a stale revision and says what differs since, or everything where that is not known', () => {
    const { id, documents } = fresh();
    saveChange(id, 1, rename(documents, 'Theirs'));
    expect(() => saveChange(id, 1, rename(documents, 'Mine'))).toThrow(
      expect.objectContaining({
        status: 412,
        more: { revision: 2, patch: [{ op: 'replace', path: '/project/name', value: 'Theirs' }] },
      }),
    );
    expect(() => saveChange(id, 7, rename(documents, 'Mine'))).toThrow(
      expect.objectContaining({
        status: 412,
        more: {
          revision: 2,
          documents: expect.objectContaining({ project: expect.objectContaining({ name: 'Theirs' }) }),
        },
      }),
    );
  });

  it('writes only the documents that changed', () => {
    const { id, documents } = fresh();
    const scene = {
      id: 's',
      name: 'S',
      role: 'splash' as const,
      bars: {
        status: { shown: true },
        title: { shown: false, height: 56 },
        navigation: { shown: true, style: 'gesture' as const },
      },
      margin: Object.fromEntries(
        ['left', 'right', 'top', 'bottom'].map((s) => [s, { value: 0, unit: 'lu' }]),
      ) as never,
      layers: [],
    };
    const add = change(documents, (d) => {
      d.scenes.s = scene;
      d.project.scenes.push('s');
    });
    saveChange(id, 1, add);
    expect(loadProject(id).documents.scenes.s).toEqual(scene);
    saveChange(id, 2, inverted(nextId(), add));
    const rows = getDb().select().from(documentRows).all();
    expect(rows.filter((r) => r.projectId === id).map((r) => r.kind)).toEqual(['project']);
  });

  it.each<[string, (d: Documents) => Change, RegExp]>([
    ['an empty name', (d) => rename(d, ''), /name/],
    ['a name that is too long', (d) => rename(d, 'x'.repeat(300)), /name/],
    [
      'a newer schema version',
      (d) => change(d, (x) => (x.project.schema = 99 as never)),
      /schema version 99.*Update Coulee/,
    ],
    ['another id', (d) => change(d, (x) => (x.project.id = 'other')), /id of a project/],
    [
      'an id that two have',
      (d) =>
        change(d, (x) => {
          const gap = { id: 'gap', name: 'Gap', value: { value: 4, unit: 'lu' as const } };
          x.project.named.push(gap, { ...gap, name: 'Room' });
        }),
      /“gap” names two named values.*another id/,
    ],
    ['a scene that is not there', (d) => change(d, (x) => x.project.scenes.push('gone')), /“gone”/],
    [
      'a file that is not kept',
      (d) =>
        change(d, (x) => {
          const rendition = {
            hash: 'f'.repeat(64),
            widthPx: 1,
            heightPx: 1,
            density: 1,
            appearance: 'light' as const,
            vector: false,
          };
          const cut = {
            cut: 'any' as const,
            renditions: [rendition],
            keepAreas: [],
            focalPoint: { x: 0, y: 0 },
          };
          x.project.pictures.push({ id: 'p', name: 'P', cuts: [cut] });
        }),
      /Upload it first/,
    ],
    [
      'a path that is not there',
      () => ({
        id: nextId(),
        patch: [{ op: 'remove', path: '/scenes/none' }],
        inverse: [{ op: 'remove', path: '/scenes/none' }],
      }),
      /\/scenes\/none is not there/,
    ],
    [
      'an inverse that does not lead back',
      (d) => ({ ...rename(d, 'New'), inverse: [{ op: 'replace', path: '/project/name', value: 'Other' }] }),
      /does not lead back/,
    ],
  ])('refuses %s, and nothing is written', (_, make, message) => {
    const { id, documents } = fresh();
    expect(() => saveChange(id, 1, make(documents))).toThrow(
      expect.objectContaining({ status: 422, message: expect.stringMatching(message) }),
    );
    expect(loadProject(id)).toEqual({ revision: 1, documents });
    expect(
      getDb()
        .select()
        .from(history)
        .all()
        .filter((h) => h.projectId === id),
    ).toEqual([]);
  });
});

describe('projects', () => {
  it('are duplicated under a new id', () => {
    const { id } = fresh();
    const copy = duplicateProject(id).documents.project;
    expect(copy.id).not.toBe(id);
    expect(copy.name).toBe('Test (copy)');
  });

  it('come back after they were deleted', () => {
    const { id } = fresh();
    deleteProject(id);
    expect(() => loadProject(id)).toThrow(expect.objectContaining({ status: 404 }));
    restoreProject(id);
    expect(loadProject(id).revision).toBe(1);
    expect(() => deleteProject('none')).toThrow(expect.objectContaining({ status: 404 }));
  });

  it('are listed for as long as they can come back, the last first, and removed for good only once deleted', () => {
    const [one, two] = [fresh().id, fresh().id];
    expect(() => removeProject(one)).toThrow(expect.objectContaining({ status: 409 }));
    const before = listDeleted().length;
    deleteProject(one);
    getDb()
      .update(projects)
      .set({ deletedAt: new Date(Date.now() - 10.5 * 24 * 3600 * 1000).toISOString() })
      .where(eq(projects.id, one))
      .run();
    deleteProject(two);
    const listed = listDeleted();
    expect(listed).toHaveLength(before + 2);
    expect(listed[0]).toEqual({ id: two, name: 'Test', daysLeft: 30 });
    expect(listed.find((d) => d.id === one)!.daysLeft).toBe(20);
    removeProject(one);
    expect(() => restoreProject(one)).toThrow(expect.objectContaining({ status: 404 }));
    expect(getDb().select().from(documentRows).where(eq(documentRows.projectId, one)).all()).toEqual([]);
  });

  it('that cannot be read are listed with the reason, and keep no other from being opened', () => {
    const [good, newer, broken, cut] = [fresh().id, fresh().id, fresh().id, fresh().id];
    const spoil = (id: string, change: (body: string) => string) => {
      const at = and(eq(documentRows.projectId, id), eq(documentRows.kind, 'project'));
      const [row] = getDb().select().from(documentRows).where(at).all();
      getDb()
        .update(documentRows)
        .set({ body: change(row!.body) })
        .where(at)
        .run();
    };
    spoil(newer, (body) => body.replace(/"schema":\d+/, '"schema":99'));
    spoil(broken, (body) => body.replace('"pictures":', '"pictures_":'));
    spoil(cut, (body) => body.slice(0, 40));
    const cards = new Map(projectCards().map((c) => [c.id, c]));
    expect(cards.get(good)!.unreadable).toBeUndefined();
    expect(cards.get(newer)!.unreadable).toMatch(/schema version 99.*Update Coulee/);
    expect(cards.get(broken)!.unreadable).toMatch(/damaged: project › pictures/);
    expect(cards.get(cut)!.unreadable).toContain('not whole JSON');
    expect(() => loadProject(broken)).toThrow(
      expect.objectContaining({
        status: 409,
        message: expect.stringContaining('damaged: project › pictures'),
      }),
    );
    expect(rawDocuments(cut)).toContain('"kind": "project"');
    expect(() => rawDocuments('none')).toThrow(expect.objectContaining({ status: 404 }));
    for (const id of [newer, broken, cut]) {
      deleteProject(id);
      removeProject(id);
    }
  });
});
