import { stepOf } from '@/core/steps/commands';
import { appliedOf, applyMend } from './applied';
import { edit, undo } from './edit';
import { openDemo } from './testing/opened';

const step = stepOf('project.change', 'change it');

const patch = [{ op: 'replace' as const, path: '/project/name', value: 'Other ferries' }];

describe('a mend that was applied', () => {
  it('is one step, and is said until the next one', () => {
    const store = openDemo();
    applyMend(store, { fix: 'rename', patch, said: 'Renamed: done.' });
    expect(store.getState().documents.project.name).toBe('Other ferries');
    expect(store.getState().undo).toHaveLength(1);
    expect(appliedOf(store.getState())?.said).toBe('Renamed: done.');
    edit(store, step, ({ project }) => {
      project.name = 'And on';
    });
    expect(appliedOf(store.getState())).toBeNull();
  });

  it('is not said once it is undone', () => {
    const store = openDemo();
    applyMend(store, { fix: 'rename', patch, said: 'Renamed: done.' });
    undo(store);
    expect(appliedOf(store.getState())).toBeNull();
  });

  it('that changes nothing is not said', () => {
    const store = openDemo();
    const { name } = store.getState().documents.project;
    applyMend(store, { fix: 'rename', patch: [{ ...patch[0]!, value: name }], said: 'Nothing.' });
    expect(appliedOf(store.getState())).toBeNull();
  });
});

describe('the case that is looked at', () => {
  it('counts as chosen once it is another one, and not by another filter', () => {
    const store = openDemo();
    expect(store.getState().isPicked).toBe(false);
    store.setState(({ view }) => ({ view: { ...view, text: 'tablet' } }));
    expect(store.getState().isPicked).toBe(false);
    store.setState(({ view }) => ({ view: { ...view, case: 'phone-x.0.light' } }));
    expect(store.getState().isPicked).toBe(true);
  });
});
