/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { ImportsContext } from '../import/imports';
import { goToPart } from '../state/asked-part';
import { WorkbenchProvider } from '../state/context';
import { openDemo } from '../state/testing/opened';
import { SceneColumn } from './SceneColumn';

const imports = {
  take: () => undefined,
  takeAddress: () => Promise.resolve(),
  pick: () => undefined,
  isTaking: false,
};

/** The rules of the demo’s splash. */
function column() {
  const store = openDemo();
  store.setState(({ view }) => ({ view: { ...view, lens: 'findings' } }));
  const shown = () =>
    render(
      <WorkbenchProvider value={store}>
        <ImportsContext value={imports}>
          <SceneColumn />
        </ImportsContext>
      </WorkbenchProvider>,
    );
  return { store, shown };
}

const layer = (name: string) => within(screen.getByRole('region', { name: `Layer ${name}` }));

describe('a part of a rule that is asked for elsewhere', () => {
  it('is open once the rules are there, has the focus before, and is closed for good', async () => {
    const { store, shown } = column();
    goToPart(store, { layerId: 'harbour', path: ['fit', 'align', 'x'] });
    expect(store.getState().view.lens).toBe('screens');
    await act(async () => void shown());
    const dialog = screen.getByRole('dialog', { name: 'Change “62 % across, 55 % down”' });
    const button = layer('Harbour').getByRole('button', { name: '62 % across, 55 % down' });
    expect(button.getAttribute('aria-expanded')).toBe('true');
    await act(async () => void fireEvent.keyDown(dialog, { key: 'Escape' }));
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(document.activeElement).toBe(button);
    expect(store.getState().askedPart).toBeNull();
    cleanup();
    await act(async () => void shown());
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('takes the place of one that was asked for before', async () => {
    const { store, shown } = column();
    await act(async () => void shown());
    await act(async () => goToPart(store, { layerId: 'harbour', path: ['fit', 'align'] }));
    await act(async () => goToPart(store, { layerId: null, path: ['margin', 'left'] }));
    expect(screen.getAllByRole('dialog').map((d) => d.getAttribute('aria-label'))).toEqual(['Scene']);
  });

  it('opens what stands first in the rule where no part says what was asked for', async () => {
    const { store, shown } = column();
    await act(async () => void shown());
    await act(async () => goToPart(store, { layerId: 'emblem', path: ['nowhere'] }));
    expect(layer('Emblem').getAllByRole('button', { expanded: true })).toHaveLength(1);
  });
});
