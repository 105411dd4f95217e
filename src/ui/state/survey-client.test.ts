import { stepOf } from '@/core/steps/commands';
import { commit, edit, editLive } from './edit';
import { areFindingsOlder, isSurveyOlder } from './older';
import { watchSurvey } from './survey-client';
import type { SurveyProgress } from '@/workers/surveying';
import type { WorkbenchState, WorkbenchStore } from './workbench';
import { catalogue, demo, openDemo } from './testing/opened';

const step = stepOf('project.change', 'change it');

const screens = catalogue.slice(0, 1);

/** Workers that answer at once, or fail as they are told. */
function workers() {
  const state = {
    started: 0,
    ended: 0,
    asked: [] as string[],
    watched: [] as string[],
    faults: 0,
    dies: false,
    outcome: 'clear',
    kill: () => {},
  };
  const call = (name: string) => {
    state.asked.push(name);
    if (state.dies) return new Promise<never>(() => {});
    if (state.faults > 0) {
      state.faults--;
      return Promise.reject(new Error('Out of memory.'));
    }
    return Promise.resolve();
  };
  const start = () => {
    state.started++;
    const died = new Promise<never>((_, reject) => {
      state.kill = () => {
        state.dies = false;
        reject(new Error('The worker has ended.'));
      };
    });
    died.catch(() => {});
    const remote = {
      watch: (of: { id: string }[]) => {
        state.watched.push(of.map((s) => s.id).join());
        return Promise.resolve();
      },
      survey: async (_asked: unknown, _ratios: unknown, onProgress?: (p: SurveyProgress) => void) => {
        onProgress?.({ doing: 'reading', done: 1, of: 2 });
        onProgress?.({ doing: 'measuring', done: 50, of: 100 });
        await call('survey');
        return { summaries: [{ id: 'a', outcome: state.outcome }], marks: [] };
      },
      found: async () => {
        await call('found');
        return [];
      },
      needed: async () => {
        await call('needed');
        return new Map();
      },
    };
    return { remote, died, end: () => state.ended++ } as never;
  };
  return { state, start };
}

const open = () => openDemo({ catalogue: screens });
const rename = (store: WorkbenchStore, name: string) =>
  edit(store, step, ({ project }) => {
    project.name = name;
  });

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());
const rest = (ms = 1000) => jest.advanceTimersByTimeAsync(ms);

it('hears of other screens before it is asked about them', async () => {
  const of = workers();
  const store = open();
  const end = watchSurvey(store, of.start);
  await rest();
  const asked = of.state.asked.length;
  edit(store, step, ({ project }) => {
    project.screens.push({ ...structuredClone(screens[0]!), id: 'own' });
  });
  await rest();
  expect(of.state.watched).toEqual([screens[0]!.id, `${screens[0]!.id},own`]);
  expect(of.state.asked.length).toBeGreaterThan(asked);
  expect(of.state.started).toBe(1);
  end();
});

it('surveys five times a second while a gesture goes on, and says nothing new of what is out of view until it ends', async () => {
  const of = workers();
  const store = open();
  const end = watchSurvey(store, of.start);
  await rest();
  const rested = store.getState().rested;
  expect(rested).toBe(store.getState().summaries);
  of.state.asked.length = 0;
  of.state.outcome = 'fail';
  // A value that runs for a second, a step each 16 ms.
  for (let i = 0; i < 62; i++) {
    editLive(store, step, ({ project }) => {
      project.name = `Step ${i}`;
    });
    await rest(16);
  }
  expect(of.state.asked.filter((a) => a === 'survey').length).toBeLessThanOrEqual(6);
  expect(of.state.asked).not.toContain('found');
  expect(store.getState().summaries.get('a')!.outcome).toBe('fail');
  expect(store.getState().rested).toBe(rested);
  commit(store);
  // Its end is not waited out: the last state is surveyed at once.
  await rest(120);
  expect(store.getState().surveyed!.project.name).toBe('Step 61');
  await rest();
  expect(store.getState().rested).toBe(store.getState().summaries);
  expect(store.getState().rested.get('a')!.outcome).toBe('fail');
  end();
});

describe('a worker that dies', () => {
  it('while nobody waits for an answer is replaced at once, and everything is asked again', async () => {
    const of = workers();
    const store = open();
    const end = watchSurvey(store, of.start);
    await rest();
    const asked = of.state.asked.length;
    of.state.kill();
    await rest();
    expect(of.state).toMatchObject({ started: 2, ended: 1 });
    expect(of.state.asked.length).toBeGreaterThan(asked);
    expect(store.getState().message).toContain('It starts anew.');
    end();
  });
});

describe('surveying', () => {
  it('says how far it is, surveys, explains, and then rests until something changes', async () => {
    const of = workers();
    const store = open();
    const counts: WorkbenchState['counting'][] = [];
    store.subscribe((s) => counts.push(s.counting));
    const end = watchSurvey(store, of.start);
    await rest();
    expect(counts).toContainEqual({ doing: 'measuring', done: 50, of: 100 });
    expect(of.state.asked).toEqual(['survey', 'found']);
    expect(counts).toContainEqual({ doing: 'reading', done: 1, of: 2 });
    expect(store.getState()).toMatchObject({ counting: null, surveyed: demo, explained: demo, found: [] });
    rename(store, 'One');
    // What was said before is known to be older until it is said anew; the cases are counted for the first survey alone.
    expect(isSurveyOlder(store.getState()) && areFindingsOlder(store.getState())).toBe(true);
    counts.length = 0;
    await rest();
    expect(counts.map((c) => c?.doing)).not.toContain('measuring');
    expect(isSurveyOlder(store.getState()) || areFindingsOlder(store.getState())).toBe(false);
    expect(of.state.asked).toEqual(['survey', 'found', 'survey', 'found']);
    store.setState(({ view }) => ({ view: { ...view, lens: 'sizes' } }));
    await rest();
    expect(of.state.asked.at(-1)).toBe('needed');
    end();
    expect([of.state.started, of.state.ended, store.getState().worker]).toEqual([1, 1, null]);
  });

  it('goes on with a new worker after a call that fails, and says so', async () => {
    const of = workers();
    of.state.faults = 1;
    const store = open();
    const end = watchSurvey(store, of.start);
    await rest();
    expect(of.state.started).toBe(2);
    expect(store.getState().summaries.size).toBe(1);
    expect(store.getState().message).toBe('Measuring was interrupted: Out of memory. It starts anew.');
    rename(store, 'One');
    await rest();
    expect(store.getState().surveyed?.project.name).toBe('One');
    end();
  });

  it('goes on when the worker dies and its answer never comes', async () => {
    const of = workers();
    of.state.dies = true;
    const store = open();
    const end = watchSurvey(store, of.start);
    await rest();
    expect(store.getState().summaries.size).toBe(0);
    of.state.kill();
    await rest();
    expect([of.state.started, store.getState().summaries.size]).toEqual([2, 1]);
    end();
  });

  it('leaves what fails again and again until something is changed', async () => {
    const of = workers();
    of.state.faults = 99;
    const store = open();
    const end = watchSurvey(store, of.start);
    await rest(60_000);
    expect(of.state.started).toBe(3);
    expect(store.getState().message).toContain('tried again with the next change');
    of.state.faults = 0;
    rename(store, 'One');
    await rest();
    expect(store.getState().surveyed?.project.name).toBe('One');
    end();
    expect(of.state.ended).toBe(of.state.started);
  });
});
