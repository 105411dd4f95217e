import json from '../../../data/screens.json';
import { demoDocuments } from '../../../demo/documents';
import type { Change } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { placeKey } from '@/core/project/merge';
import { applyPatch, diff } from '@/core/patch/patch';
import { readCatalogue } from '@/core/screens/catalogue';
import { commit, edit, editLive, undo } from './edit';
import { resolveConflict, watchSaving } from './save-client';
import { readView } from './view';
import { createWorkbench, type WorkbenchStore } from './workbench';

const plain = demoDocuments(() => [
  { hash: 'a'.repeat(64), widthPx: 400, heightPx: 300, density: 1, appearance: 'light', vector: false },
]);
const spare = (id: string) => ({ id, name: id, value: { value: 1, unit: 'lu' as const } });
/** With named values that nothing uses, at both ends of the list. */
const demo: Documents = {
  ...plain,
  project: { ...plain.project, named: [spare('first'), ...plain.project.named, spare('last')] },
};
const screens = readCatalogue(json).slice(0, 1);

/** What the server would do with the next request instead of answering it. */
type Mishap = 'offline' | 'lost answer' | 'refused' | 'broken' | 'proxy';

interface Sent {
  method: string;
  body: string;
  headers: Record<string, string>;
}

/** A server that keeps one project, and takes each change once. */
function server(documents: Documents) {
  const state = { documents, revision: 1, taken: [] as string[], asked: 0, mishaps: [] as Mishap[] };
  /** the documents of each revision, as far as the history goes back */
  const seen = new Map([[1, documents]]);
  const answer = (status: number, body: object) => ({
    ok: status < 400,
    status,
    text: () => Promise.resolve(JSON.stringify(body)),
  });
  const changedSince = (tag: string) => {
    const then = seen.get(Number(tag.slice(1, -1)));
    const { documents: now, revision } = state;
    return then ? { revision, patch: diff(then, now) } : { revision, documents: now };
  };
  const fetch = (_path: string, { method, body, headers }: Sent) => {
    state.asked++;
    if (method === 'GET')
      return Promise.resolve(answer(200, { documents: state.documents, revision: state.revision }));
    const mishap = state.mishaps.shift();
    if (mishap === 'offline') return Promise.reject(new Error('no network'));
    if (mishap === 'broken') return Promise.resolve(answer(500, { detail: 'Something broke.' }));
    if (mishap === 'refused') return Promise.resolve(answer(422, { detail: 'It is out of range.' }));
    if (mishap === 'proxy') return Promise.resolve(answer(412, {}));
    const change = JSON.parse(body) as Change;
    if (!state.taken.includes(change.id)) {
      if (headers['if-match'] !== `"${state.revision}"`)
        return Promise.resolve(answer(412, changedSince(headers['if-match']!)));
      state.documents = applyPatch(state.documents, change.patch);
      state.revision++;
      seen.set(state.revision, state.documents);
      state.taken.push(change.id);
    }
    if (mishap === 'lost answer') return Promise.reject(new Error('cut off'));
    return Promise.resolve(answer(200, { revision: state.revision }));
  };
  return { state, fetch, seen, forget: () => seen.clear() };
}

const page = { ends: [] as (() => void)[], kept: new Map<string, string>() };

function open(of: ReturnType<typeof server>): WorkbenchStore {
  const { documents, revision, taken } = of.state;
  const store = createWorkbench({
    documents,
    revision,
    sceneId: 'winter-splash',
    catalogue: screens,
    view: readView({}),
    arrived: taken,
  });
  page.ends.push(watchSaving(store, taken));
  return store;
}
/** Leaves the page without a word, as a crash would; what the tab keeps stays. */
function leave(): void {
  for (const end of page.ends.splice(0)) end();
}
/** Lets everything happen that is under way, and what waits for so many ms. */
async function rest(ms = 0): Promise<void> {
  const settle = async () => {
    for (let i = 0; i < 100; i++) await Promise.resolve();
  };
  await settle();
  await jest.advanceTimersByTimeAsync(ms);
  await settle();
}

const rename = (store: WorkbenchStore, name: string) =>
  edit(store, ({ project }) => {
    project.name = name;
  });
const addNamed = (store: WorkbenchStore, id: string) =>
  edit(store, ({ project }) => {
    project.named.push(spare(id));
  });
/** Somebody else’s tab saves something. */
const elsewhere = (of: ReturnType<typeof server>, recipe: (d: Documents) => void) => {
  const next = structuredClone(of.state.documents);
  recipe(next);
  of.state.documents = next;
  of.state.revision++;
  of.seen.set(of.state.revision, of.state.documents);
};
const named = (d: Documents) => d.project.named.map((n) => n.id);

beforeEach(() => {
  jest.useFakeTimers();
  page.kept.clear();
  const doc = Object.assign(new EventTarget(), { visibilityState: 'visible' });
  Object.assign(globalThis, {
    window: new EventTarget(),
    document: doc,
    sessionStorage: {
      getItem: (key: string) => page.kept.get(key) ?? null,
      setItem: (key: string, value: string) => void page.kept.set(key, value),
      removeItem: (key: string) => void page.kept.delete(key),
    },
  });
});
afterEach(() => {
  leave();
  jest.useRealTimers();
});
const serve = (documents = demo) => {
  const of = server(documents);
  globalThis.fetch = of.fetch as never;
  return of;
};

/** Gives the last named value, which nothing uses, another figure. */
const changeLast = (store: WorkbenchStore) =>
  edit(store, ({ project }) => {
    project.named.at(-1)!.value = { value: 9, unit: 'lu' };
  });

describe('saving', () => {
  it('sends one change after another, and says when all are there', async () => {
    const of = serve();
    const store = open(of);
    rename(store, 'One');
    addNamed(store, 'two');
    await rest();
    expect(store.getState()).toMatchObject({ saving: 'saved', pending: [], revision: 3 });
    expect(of.state.documents).toEqual(store.getState().documents);
  });

  it.each<[Mishap, number]>([
    ['offline', 2],
    ['lost answer', 2],
    ['broken', 2],
  ])('goes on after %s until the server has it once', async (mishap, asked) => {
    const of = serve();
    of.state.mishaps.push(mishap);
    const store = open(of);
    addNamed(store, 'two');
    await rest();
    expect(store.getState()).toMatchObject({ saving: 'offline', pending: { length: 1 } });
    await rest(3100);
    expect(store.getState()).toMatchObject({ saving: 'saved', pending: [] });
    expect(named(of.state.documents).filter((id) => id === 'two')).toHaveLength(1);
    expect(of.state.asked).toBe(asked);
  });

  it('reads the whole project where an answer in between says nothing of what others made of it', async () => {
    const of = serve();
    of.state.mishaps.push('proxy');
    const store = open(of);
    addNamed(store, 'two');
    await rest();
    expect(store.getState()).toMatchObject({ saving: 'saved', pending: [] });
    expect(named(of.state.documents).filter((id) => id === 'two')).toHaveLength(1);
  });

  it('takes others’ changes in also where the server no longer knows what was seen', async () => {
    const of = serve();
    const [mine, theirs] = [open(of), open(of)];
    addNamed(theirs, 'theirs');
    await rest();
    of.forget();
    rename(mine, 'Mine');
    await rest();
    expect(mine.getState()).toMatchObject({ saving: 'saved', pending: [] });
    expect(named(mine.getState().documents)).toContain('theirs');
    expect(of.state.documents.project.name).toBe('Mine');
  });

  it('goes on after a fault that nobody foresaw, and says so', async () => {
    const of = serve();
    const store = open(of);
    const odd = { ok: true, status: 200, text: () => Promise.reject(new TypeError('odd')) };
    globalThis.fetch = (() => Promise.resolve(odd)) as never;
    rename(store, 'One');
    await rest();
    expect(store.getState()).toMatchObject({ saving: 'offline', pending: { length: 1 } });
    expect(store.getState().message).toContain('odd');
    globalThis.fetch = of.fetch as never;
    await rest(3100);
    expect(of.state.documents.project.name).toBe('One');
  });

  it('takes a refused change back with what it hangs on only, and keeps all of it to be saved', async () => {
    const of = serve();
    of.state.mishaps.push('refused');
    const store = open(of);
    rename(store, 'Refused');
    addNamed(store, 'two');
    await rest();
    const { documents, saving, rescue, message, undo: steps } = store.getState();
    expect(documents.project.name).toBe(demo.project.name);
    expect(named(documents)).toContain('two');
    expect(of.state.documents).toEqual(documents);
    expect([saving, steps.length]).toEqual(['saved', 1]);
    expect(message).toContain('It is out of range.');
    expect(rescue!.project.name).toBe('Refused');
  });
});

describe('what is changed here and elsewhere', () => {
  it('is merged by what is different in the end: a step that was taken back meets nothing', async () => {
    const of = serve();
    of.state.mishaps.push('offline');
    const store = open(of);
    addNamed(store, 'two');
    undo(store);
    rename(store, 'Here');
    await rest();
    // The other tab shortens the very list that the first step added to.
    elsewhere(of, ({ project }) => void project.named.splice(0, 1));
    await rest(3100);
    expect(store.getState()).toMatchObject({ saving: 'saved', pending: [], conflict: null });
    expect(of.state.documents.project.name).toBe('Here');
    expect(named(of.state.documents)).toEqual(named(demo).slice(1));
    // And it goes on: nothing has died.
    rename(store, 'Later');
    await rest();
    expect(of.state.documents.project.name).toBe('Later');
  });

  it('is offered where both touch the same place, and nothing is sent until somebody chooses', async () => {
    const of = serve();
    const store = open(of);
    elsewhere(of, ({ project }) => (project.name = 'There'));
    rename(store, 'Here');
    await rest();
    const asked = of.state.asked;
    expect(store.getState()).toMatchObject({
      saving: 'conflict',
      conflict: { theirs: { project: { name: 'There' } } },
    });
    await rest(10_000);
    expect(of.state.asked).toBe(asked);
    resolveConflict(store, new Map([[placeKey(['project', 'name']), 'mine']]));
    await rest();
    expect(of.state.documents.project.name).toBe('Here');
    expect(store.getState()).toMatchObject({ saving: 'saved', conflict: null });
  });

  it('leaves what was not chosen in the history, and undo leads back to it', async () => {
    const of = serve();
    const store = open(of);
    elsewhere(of, ({ project }) => (project.name = 'There'));
    rename(store, 'Here');
    await rest();
    resolveConflict(store, new Map([[placeKey(['project', 'name']), 'theirs']]));
    await rest();
    expect(of.state.documents.project.name).toBe('There');
    expect([...of.seen.values()].map((d) => d.project.name)).toEqual([
      demo.project.name,
      'There',
      'Here',
      'There',
    ]);
    undo(store);
    await rest();
    expect(of.state.documents.project.name).toBe('Here');
  });

  it('is merged by the names of entries, wherever in their list they stand', async () => {
    const of = serve();
    of.state.mishaps.push('offline');
    const store = open(of);
    edit(store, ({ project }) => void project.named.splice(project.named.length - 1, 1));
    await rest();
    elsewhere(of, ({ project }) => void project.named.splice(0, 1));
    await rest(3100);
    expect(store.getState()).toMatchObject({ saving: 'saved', pending: [], conflict: null });
    expect(named(of.state.documents)).toEqual(named(demo).slice(1, -1));
  });

  it('is offered where one changes what the other takes away', async () => {
    const of = serve();
    of.state.mishaps.push('offline');
    const store = open(of);
    changeLast(store);
    await rest();
    elsewhere(of, ({ project }) => void project.named.pop());
    await rest(3100);
    const { conflict, pending, saving } = store.getState();
    expect([saving, pending.length]).toEqual(['conflict', 1]);
    expect(named(conflict!.theirs)).toEqual(named(demo).slice(0, -1));
  });
});

describe('over a reload', () => {
  it('what was not saved is sent again, once', async () => {
    const of = serve();
    of.state.mishaps.push('lost answer');
    const store = open(of);
    addNamed(store, 'two');
    rename(store, 'Here');
    await rest();
    leave();
    const again = open(of);
    await rest();
    expect(again.getState()).toMatchObject({ saving: 'saved', pending: [], undo: { length: 2 } });
    expect(named(of.state.documents).filter((id) => id === 'two')).toHaveLength(1);
    expect(of.state.documents.project.name).toBe('Here');
  });

  it('what no longer fits meets what the server has, and is offered', async () => {
    const of = serve();
    of.state.mishaps.push('offline');
    const store = open(of);
    changeLast(store);
    await rest();
    leave();
    elsewhere(of, ({ project }) => void project.named.pop());
    const again = open(of);
    await rest();
    expect(again.getState()).toMatchObject({ saving: 'conflict', pending: { length: 1 } });
    expect(named(again.getState().conflict!.theirs)).toEqual(named(demo).slice(0, -1));
    expect(again.getState().documents.project.named.at(-1)!.value).toEqual({ value: 9, unit: 'lu' });
  });

  it('is kept as far as there is room, and without any nothing breaks', async () => {
    const of = serve();
    of.state.mishaps.push('offline');
    globalThis.sessionStorage.setItem = () => {
      throw new Error('full');
    };
    const store = open(of);
    rename(store, 'Here');
    await rest(3100);
    expect(of.state.documents.project.name).toBe('Here');
  });
});

describe('a value in an open editor', () => {
  const type = (store: WorkbenchStore, name: string) =>
    editLive(store, ({ project }) => {
      project.name = name;
    });

  it('is sent once it rests, and stays one step to be taken back', async () => {
    const of = serve();
    const store = open(of);
    type(store, 'H');
    await rest(300);
    type(store, 'He');
    await rest(300);
    expect(of.state.asked).toBe(0);
    await rest(300);
    expect(of.state.documents.project.name).toBe('He');
    type(store, 'Here');
    commit(store);
    await rest();
    expect(of.state.documents.project.name).toBe('Here');
    expect(store.getState().undo).toHaveLength(1);
    undo(store);
    await rest();
    expect(of.state.documents).toEqual(demo);
  });

  it('is sent at once when the page is hidden, and survives a reload', async () => {
    const of = serve();
    of.state.mishaps.push('offline');
    const store = open(of);
    type(store, 'Here');
    Object.assign(document, { visibilityState: 'hidden' });
    document.dispatchEvent(new Event('visibilitychange'));
    await rest();
    expect(of.state.asked).toBe(1);
    leave();
    const again = open(of);
    await rest();
    expect(of.state.documents.project.name).toBe('Here');
    expect(again.getState().saving).toBe('saved');
  });

  it('that comes to what it was leaves nothing behind', async () => {
    const of = serve();
    const store = open(of);
    type(store, 'Here');
    await rest(600);
    type(store, demo.project.name);
    commit(store);
    await rest();
    expect(of.state.documents).toEqual(demo);
    expect(store.getState()).toMatchObject({ undo: [], pending: [], saving: 'saved' });
  });

  it('is merged while it goes on', async () => {
    const of = serve();
    const store = open(of);
    type(store, 'H');
    await rest(600);
    elsewhere(of, ({ project }) => void project.named.splice(0, 1));
    type(store, 'He');
    await rest(600);
    type(store, 'Here');
    commit(store);
    await rest();
    expect(of.state.documents.project.name).toBe('Here');
    expect(named(of.state.documents)).toEqual(named(demo).slice(1));
    expect(store.getState().saving).toBe('saved');
  });
});
