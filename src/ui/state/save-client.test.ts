import { stepOf } from '@/core/steps/commands';
import { commit, editLive, undo } from './edit';
import type { WorkbenchStore } from './workbench';
import {
  addNamed,
  changeLast,
  demo,
  elsewhere,
  leave,
  named,
  open,
  rename,
  rest,
  serve,
  onAPage,
  type Mishap,
} from './testing/served';

const step = stepOf('project.change', 'change it');

onAPage();

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
    editLive(store, step, ({ project }) => {
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
