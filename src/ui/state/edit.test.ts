import fc from 'fast-check';
import { sayStep } from '@/core/patch/change';
import { stepOf } from '@/core/steps/commands';
import { applyPatch } from '@/core/patch/patch';
import { abandon, commit, edit, editLive, inLayer, queueGesture, redo, undo } from './edit';
import { sceneOf, type WorkbenchStore } from './workbench';
import { openDemo } from './testing/opened';

const step = stepOf('project.change', 'change it');

const setPercent = (store: WorkbenchStore, x: number) =>
  editLive(
    store,
    step,
    inLayer(store, 'harbour', (l) => {
      if (l.kind === 'picture' && l.fit.align.kind === 'position') l.fit.align.x.percent = x;
    }),
  );
const percentOf = (store: WorkbenchStore) => {
  const layer = sceneOf(store.getState())!.layers.find((l) => l.id === 'harbour');
  return layer?.kind === 'picture' && layer.fit.align.kind === 'position' ? layer.fit.align.x.percent : null;
};
const rename = (store: WorkbenchStore, name: string) =>
  edit(store, step, ({ project }) => {
    project.name = name;
  });

describe('editing', () => {
  it('makes one step of all changes of a gesture', () => {
    const store = openDemo();
    const before = store.getState().documents;
    for (const x of [10, 20, 30]) setPercent(store, x);
    expect(percentOf(store)).toBe(30);
    expect(store.getState().undo).toEqual([]);
    commit(store);
    const { undo: steps, pending, documents } = store.getState();
    expect(steps).toHaveLength(1);
    expect(pending).toEqual(steps);
    expect(steps[0]!.patch).toEqual([
      { op: 'replace', path: '/scenes/winter-splash/layers/1/fit/align/x/percent', value: 30 },
    ]);
    expect(applyPatch(documents, steps[0]!.inverse)).toEqual(before);
  });

  it('makes no step of a gesture that ends where it began', () => {
    const store = openDemo();
    setPercent(store, 5);
    setPercent(store, 62);
    commit(store);
    expect(store.getState()).toMatchObject({ undo: [], pending: [], gesture: null });
  });

  it('goes back and forth, and each way is a step to be saved', () => {
    const store = openDemo();
    rename(store, 'One');
    rename(store, 'Two');
    undo(store);
    expect(store.getState().documents.project.name).toBe('One');
    redo(store);
    expect(store.getState().documents.project.name).toBe('Two');
    undo(store);
    undo(store);
    undo(store);
    expect(store.getState().documents.project.name).toBe('Larkmoor Ferries');
    expect(store.getState().pending).toHaveLength(6);
    expect(new Set(store.getState().pending.map((c) => c.id)).size).toBe(6);
    rename(store, 'Three');
    expect(store.getState().redo).toEqual([]);
  });

  it('ends a gesture that is going on before it takes a step back', () => {
    const store = openDemo();
    setPercent(store, 5);
    undo(store);
    expect(percentOf(store)).toBe(62);
    redo(store);
    expect(percentOf(store)).toBe(5);
  });

  it('does not take back what was changed again elsewhere, and says so', () => {
    const store = openDemo();
    rename(store, 'Mine');
    const { documents } = store.getState();
    store.setState({ documents: { ...documents, project: { ...documents.project, name: 'Theirs' } } });
    undo(store);
    expect(store.getState().documents.project.name).toBe('Theirs');
    expect(store.getState().message).toMatch(/cannot be taken back/);
  });

  it('that is abandoned leaves no trace, also of what was sent while it went on', () => {
    const store = openDemo();
    const before = store.getState().documents;
    setPercent(store, 10);
    abandon(store);
    expect(store.getState()).toMatchObject({ documents: before, undo: [], pending: [], gesture: null });
    setPercent(store, 10);
    queueGesture(store);
    setPercent(store, 20);
    abandon(store);
    const { documents, undo: steps, pending } = store.getState();
    expect([documents, steps]).toEqual([before, []]);
    expect(pending.reduce((d, change) => applyPatch(d, change.patch), before)).toEqual(before);
    expect(pending.map((change) => change.step!.undone)).toEqual([undefined, true]);
  });

  it('is called as its command says, taken back and done again too', () => {
    const store = openDemo();
    edit(store, stepOf('layer.forward', 'Emblem'), ({ project }) => void (project.name = 'Mine'));
    expect(store.getState().undo.at(-1)!.step).toEqual({
      command: 'layer.forward',
      name: 'move Emblem forward',
    });
    undo(store);
    expect(store.getState().pending.map((c) => sayStep(c.step!))).toEqual([
      'move Emblem forward',
      'undo: move Emblem forward',
    ]);
    redo(store);
    expect(sayStep(store.getState().pending.at(-1)!.step!)).toBe('move Emblem forward');
  });

  it('that throws ends its gesture, and takes nothing of its own along', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 100 }), { maxLength: 4 }), (values) => {
        const store = openDemo();
        for (const value of values) setPercent(store, value);
        const before = store.getState().documents;
        expect(() =>
          editLive(store, step, ({ project }) => {
            project.name = 'half';
            throw new Error('It broke.');
          }),
        ).toThrow('It broke.');
        expect(store.getState()).toMatchObject({ gesture: null, step: null });
        expect(store.getState().documents).toBe(before);
        for (const { inverse } of store.getState().undo.toReversed())
          expect(applyPatch(before, inverse)).toEqual(openDemo().getState().documents);
      }),
      { numRuns: 20 },
    );
  });

  it('refuses what could not be drawn, and leaves everything as it was', () => {
    const store = openDemo();
    const before = store.getState().documents;
    const made = editLive(
      store,
      step,
      inLayer(store, 'harbour', (l) => {
        if (l.kind === 'picture') l.picture = 'gone';
      }),
    );
    expect(made).toBe(false);
    expect(store.getState().documents).toBe(before);
    expect(store.getState().message).toMatch(/^That is not possible\. The layer “Harbour”/);
  });

  it('says what was taken back where nobody looks, and nothing of what is seen', () => {
    const store = openDemo();
    edit(store, step, ({ scenes }) => {
      scenes.notice!.name = 'Elsewhere';
    });
    undo(store);
    expect(store.getState().message).toBe(
      'Taken back in Elsewhere, which is not in view. “redo” makes it again.',
    );
    redo(store);
    expect(store.getState().documents.scenes.notice!.name).toBe('Elsewhere');
    setPercent(store, 10);
    commit(store);
    undo(store);
    expect(store.getState().message).toBeNull();
    edit(store, step, ({ project }) => {
      project.launches![0]!.systemMs = 1;
    });
    undo(store);
    expect(store.getState().message).toContain('Taken back in the launch');
  });
});
