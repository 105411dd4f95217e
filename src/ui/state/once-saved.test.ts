import { isAllSaved, onceSaved } from './once-saved';
import { changeLast, elsewhere, onAPage, open, rest, serve } from './testing/served';

onAPage();

/** Waits on a page until all is saved. */
function waiting(store: ReturnType<typeof open>) {
  const abort = new AbortController();
  const said: (string | null)[] = [];
  let ended: 'saved' | 'called off' | null = null;
  onceSaved(store, abort.signal, (why) => said.push(why)).then(
    () => (ended = 'saved'),
    () => (ended = 'called off'),
  );
  return { said, abort, ended: () => ended };
}

describe('what waits until everything is saved', () => {
  it('goes on at once where nothing is to be saved', async () => {
    const store = open(serve());
    await rest();
    const { said, ended } = waiting(store);
    await rest();
    expect(ended()).toBe('saved');
    expect(said).toEqual([]);
  });

  it('goes on after a change that was refused, as that is taken back', async () => {
    const of = serve();
    const store = open(of);
    await rest();
    of.state.mishaps.push('refused');
    changeLast(store);
    await rest();
    expect(store.getState().saving).toBe('refused');
    expect(isAllSaved(store.getState())).toBe(true);
    const { ended } = waiting(store);
    await rest();
    expect(ended()).toBe('saved');
  });

  it('says that the server cannot be reached, and goes on once it can', async () => {
    const of = serve();
    const store = open(of);
    await rest();
    of.state.mishaps.push('offline', 'offline');
    changeLast(store);
    await rest();
    const { said, ended } = waiting(store);
    await rest();
    expect(ended()).toBeNull();
    expect(said.at(-1)).toContain('cannot be reached');
    await rest(10_000);
    expect(ended()).toBe('saved');
    expect(said.at(-1)).toBeNull();
  });

  it('says that two versions wait for a choice, and ends where it is called off', async () => {
    const of = serve();
    const store = open(of);
    await rest();
    elsewhere(of, ({ project }) => {
      project.named.at(-1)!.value = { value: 3, unit: 'lu' };
    });
    changeLast(store);
    await rest();
    expect(store.getState().conflict).not.toBeNull();
    const { said, abort, ended } = waiting(store);
    await rest();
    expect(said).toEqual(['the project has two versions: choose between them first']);
    expect(ended()).toBeNull();
    abort.abort();
    await rest();
    expect(ended()).toBe('called off');
  });
});
