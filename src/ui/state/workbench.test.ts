import { stepOf } from '@/core/steps/commands';
import { edit, undo } from './edit';
import { catalogue, openDemo } from './testing/opened';

const step = stepOf('project.change', 'change it');

describe('screens and cases', () => {
  it('are those of the catalogue and of the project, and follow the documents in the same step', () => {
    const store = openDemo();
    const before = store.getState();
    expect(before.screens).toEqual(catalogue);
    const seen: [own: number, screens: number, cases: number][] = [];
    store.subscribe((s) => seen.push([s.documents.project.screens.length, s.screens.length, s.cases.length]));
    edit(store, step, ({ project }) => {
      project.screens.push({ ...structuredClone(catalogue[0]!), id: 'own', rotates: false });
    });
    // One case in each appearance more, and never the new documents with the old cases.
    expect(new Set(seen.map(String))).toEqual(new Set([String([1, 3, before.cases.length + 2])]));
    undo(store);
    expect(store.getState().cases).toEqual(before.cases);
  });

  it('are those of the set in use, and what is looked at is always one of them', () => {
    const store = openDemo();
    const [first, second] = catalogue.map((s) => s.id) as [string, string];
    store.setState(({ view }) => ({ view: { ...view, case: `${first}.0.light` } }));
    edit(store, step, ({ project }) => {
      project.screenSets = [{ id: 'set', name: 'One', screens: [second] }];
    });
    expect(store.getState().screens).toHaveLength(2);
    edit(store, step, ({ project }) => {
      project.setInUse = 'set';
    });
    expect(store.getState().screens.map((s) => s.id)).toEqual([second]);
    expect(store.getState().view.case).toBe(`${second}.0.light`);
    edit(store, step, ({ project }) => {
      project.axes = { textSizes: [2] };
    });
    expect(store.getState().screens).toHaveLength(2);
    expect(store.getState().view.case).toBe(`${second}.0.light`);
    edit(store, step, ({ project }) => {
      project.weights = { source: 'users.csv', of: { [second]: 12 } };
    });
    expect(store.getState().screens.map((s) => s.weight)).toEqual([6, 6]);
  });

  it('stay the very same while nothing is said of screens', () => {
    const store = openDemo();
    const { screens, cases } = store.getState();
    edit(store, step, ({ project }) => {
      project.name = 'Another';
    });
    store.setState({ documents: structuredClone(store.getState().documents) });
    expect(store.getState().screens).toBe(screens);
    expect(store.getState().cases).toBe(cases);
  });
});
