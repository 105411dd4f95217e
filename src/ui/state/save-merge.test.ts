import { stepOf } from '@/core/steps/commands';
import { placeKey } from '@/core/project/merge';
import { edit, undo } from './edit';
import { resolveConflict } from './save-client';
import {
  addNamed,
  changeLast,
  demo,
  elsewhere,
  named,
  open,
  rename,
  rest,
  serve,
  onAPage,
} from './testing/served';

const step = stepOf('project.change', 'change it');

onAPage();

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
    edit(store, step, ({ project }) => void project.named.splice(project.named.length - 1, 1));
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
