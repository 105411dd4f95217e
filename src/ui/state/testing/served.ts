import { stepOf } from '@/core/steps/commands';
import type { Change } from '@/core/patch/change';
import type { Documents } from '@/core/project/documents';
import { applyPatch, diff } from '@/core/patch/patch';
import { edit } from '../edit';
import { watchSaving } from '../save-client';
import type { WorkbenchStore } from '../workbench';
import { catalogue, demo as plain, openDemo } from './opened';

const spare = (id: string) => ({ id, name: id, value: { value: 1, unit: 'lu' as const } });
/** With named values that nothing uses, at both ends of the list. */
export const demo: Documents = {
  ...plain,
  project: { ...plain.project, named: [spare('first'), ...plain.project.named, spare('last')] },
};

/** What the server would do with the next request instead of answering it. */
export type Mishap = 'offline' | 'lost answer' | 'refused' | 'broken' | 'proxy';

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

export function open(of: ReturnType<typeof server>): WorkbenchStore {
  const { documents, revision, taken } = of.state;
  const store = openDemo({ documents, revision, catalogue: catalogue.slice(0, 1), arrived: taken });
  page.ends.push(watchSaving(store, taken));
  return store;
}
/** Leaves the page without a word, as a crash would; what the tab keeps stays. */
export function leave(): void {
  for (const end of page.ends.splice(0)) end();
}
/** Lets everything happen that is under way, and what waits for so many ms. */
export async function rest(ms = 0): Promise<void> {
  const settle = async () => {
    for (let i = 0; i < 100; i++) await Promise.resolve();
  };
  await settle();
  await jest.advanceTimersByTimeAsync(ms);
  await settle();
}

export const rename = (store: WorkbenchStore, name: string) =>
  edit(store, stepOf('project.change', 'change it'), ({ project }) => {
    project.name = name;
  });
export const addNamed = (store: WorkbenchStore, id: string) =>
  edit(store, stepOf('project.change', 'change it'), ({ project }) => {
    project.named.push(spare(id));
  });
/** Somebody else’s tab saves something. */
export const elsewhere = (of: ReturnType<typeof server>, recipe: (d: Documents) => void) => {
  const next = structuredClone(of.state.documents);
  recipe(next);
  of.state.documents = next;
  of.state.revision++;
  of.seen.set(of.state.revision, of.state.documents);
};
export const named = (d: Documents) => d.project.named.map((n) => n.id);

/** Each test on a page of its own, whose time goes on by `rest` alone. */
export function onAPage(): void {
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
}
export const serve = (documents = demo) => {
  const of = server(documents);
  globalThis.fetch = of.fetch as never;
  return of;
};

/** Gives the last named value, which nothing uses, another figure. */
export const changeLast = (store: WorkbenchStore) =>
  edit(store, stepOf('project.change', 'change it'), ({ project }) => {
    project.named.at(-1)!.value = { value: 9, unit: 'lu' };
  });
