/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { useWorkbench, WorkbenchProvider } from '../state/context';
import { openDemo } from '../state/testing/opened';
import type { WorkbenchStore } from '../state/workbench';
import { Hands } from './Hands';

const NOTHING = { fonts: null, pixels: null };

function OnCase({ store }: { store: WorkbenchStore }) {
  const documents = useWorkbench((s) => s.documents);
  const { sceneId, cases } = store.getState();
  const c = cases[0]!;
  const result = surveyCase(surveyInput(documents, documents.scenes[sceneId]!, NOTHING), c);
  return <Hands {...{ c, result }} scale={0.5} />;
}

/** The layers of the demo’s splash that can be taken hold of, half as large as they are. */
function shown() {
  const store = openDemo();
  render(
    <WorkbenchProvider value={store}>
      <OnCase store={store} />
    </WorkbenchProvider>,
  );
  return store;
}

const emblem = () => screen.getByRole('button', { name: 'Move Emblem' });
const ruleOf = (store: WorkbenchStore) => {
  const { documents, sceneId } = store.getState();
  const layer = documents.scenes[sceneId]!.layers.find((l) => l.name === 'Emblem')!;
  return layer.kind === 'picture' ? layer.placing : null;
};
/** jsdom knows no pointers: what a drag needs of them is made of mouse events. */
const point = (type: string, target: Element, x: number, y: number, more: MouseEventInit = {}) =>
  act(() => {
    target.dispatchEvent(new MouseEvent(type, { bubbles: true, button: 0, clientX: x, clientY: y, ...more }));
  });

beforeAll(() => {
  Element.prototype.setPointerCapture = () => undefined;
});

describe('what is taken hold of on a drawing', () => {
  it('is every layer that has somewhere to go, and no ground or picture that fills the screen', () => {
    shown();
    const names = screen.getAllByRole('button').map((b) => b.getAttribute('aria-label'));
    expect(names).toEqual(['Move Emblem', 'Move Wordmark']);
  });

  it('is moved by arrow keys, in the units of its rule, as one step until the key is let go', () => {
    const store = shown();
    fireEvent.keyDown(emblem(), { key: 'ArrowRight', shiftKey: true });
    fireEvent.keyDown(emblem(), { key: 'ArrowUp', shiftKey: true });
    expect(store.getState().undo).toHaveLength(0);
    fireEvent.keyUp(emblem(), { key: 'ArrowUp' });
    const placing = ruleOf(store)!;
    expect(placing.x).toMatchObject({ kind: 'middle', shift: { value: 10, unit: 'lu' } });
    expect(placing.y).toMatchObject({ kind: 'middle', shift: { unit: '%' } });
    expect(store.getState().undo.map((c) => c.step?.name)).toEqual(['move Emblem']);
  });

  it('is made larger by plus, its shape kept', () => {
    const store = shown();
    const before = ruleOf(store)!;
    fireEvent.keyDown(emblem(), { key: '+' });
    fireEvent.keyUp(emblem(), { key: '+' });
    const after = ruleOf(store)!;
    expect(after.ratio).toEqual(before.ratio);
    expect(after).not.toEqual(before);
    expect(store.getState().undo.map((c) => c.step?.name)).toEqual(['resize Emblem']);
  });
});

describe('what is dragged on a drawing', () => {
  it('goes where it is dragged, along one axis with Shift', () => {
    const store = shown();
    const y = ruleOf(store)!.y;
    point('pointerdown', emblem(), 100, 100);
    point('pointermove', emblem(), 110, 98, { shiftKey: true, altKey: true });
    point('pointerup', emblem(), 110, 98);
    expect(ruleOf(store)!.x).toMatchObject({ shift: { value: 20 } });
    expect(ruleOf(store)!.y).toEqual(y);
    expect(store.getState().undo).toHaveLength(1);
  });

  it('catches at the middle of the safe area, unless Alt lets it pass', () => {
    const store = shown();
    point('pointerdown', emblem(), 100, 100);
    point('pointermove', emblem(), 120, 100, { altKey: true });
    point('pointerup', emblem(), 120, 100);
    expect(ruleOf(store)!.x).toMatchObject({ shift: { value: 40 } });
    point('pointerdown', emblem(), 120, 100);
    point('pointermove', emblem(), 101, 100);
    expect(document.querySelectorAll('.snap-lines path').length).toBeGreaterThan(0);
    point('pointerup', emblem(), 101, 100);
    expect(document.querySelectorAll('.snap-lines path')).toHaveLength(0);
    expect(ruleOf(store)!.x).toMatchObject({ shift: { value: 0 } });
  });

  it('is not moved by a press that hardly goes anywhere, and is put back by Escape', () => {
    const store = shown();
    const before = store.getState().documents;
    point('pointerdown', emblem(), 100, 100);
    point('pointermove', emblem(), 101, 101);
    expect(store.getState().documents).toBe(before);
    point('pointermove', emblem(), 140, 140);
    expect(store.getState().documents).not.toBe(before);
    fireEvent.keyDown(document.body, { key: 'Escape' });
    point('pointerup', emblem(), 140, 140);
    expect(store.getState()).toMatchObject({ documents: before, undo: [], pending: [] });
  });

  it('is nothing in a project that was signed off', () => {
    const store = openDemo();
    store.setState({ signed: { id: 's', by: 'Ada', at: '2026-11-03T10:00:00.000Z' } as never });
    render(
      <WorkbenchProvider value={store}>
        <OnCase store={store} />
      </WorkbenchProvider>,
    );
    expect(screen.queryAllByRole('button')).toEqual([]);
  });
});
