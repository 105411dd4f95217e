/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { undo } from '../state/edit';
import { WorkbenchProvider } from '../state/context';
import { openDemo } from '../state/testing/opened';
import { HistoryMenu } from './HistoryMenu';

const answer = (body: unknown) =>
  ({ ok: true, status: 200, text: () => Promise.resolve(JSON.stringify(body)) }) as Response;

/** Opens the history of a project of which the server keeps three steps. */
async function opened(then = openDemo().getState().documents) {
  const store = openDemo();
  store.setState({ revision: 4 });
  const steps = [
    { revision: 4, at: '2026-11-03T10:02:00.000Z', step: 'delete Emblem' },
    { revision: 3, at: '2026-11-03T10:01:00.000Z', step: 'move Emblem forward' },
    { revision: 2, at: '2026-11-03T10:00:00.000Z', step: 'add Emblem' },
  ];
  globalThis.fetch = (path) => Promise.resolve(answer(/revisions\/\d+$/.test(String(path)) ? then : steps));
  render(
    <WorkbenchProvider value={store}>
      <HistoryMenu />
    </WorkbenchProvider>,
  );
  fireEvent.click(screen.getByRole('button', { name: 'history' }));
  await screen.findByText('delete Emblem');
  return store;
}

const before = globalThis.fetch;
afterEach(() => void (globalThis.fetch = before));

describe('the history', () => {
  it('lists the steps that are kept, newest first, and says which is now', async () => {
    await opened();
    const lines = screen.getAllByRole('listitem').map((line) => line.textContent);
    expect(lines).toEqual([
      'delete Emblem2026-11-03 10:02 UTCnow',
      'move Emblem forward2026-11-03 10:01 UTCgo back',
      'add Emblem2026-11-03 10:00 UTCgo back',
    ]);
  });

  it('goes back to a step as a step of its own, which can be taken back', async () => {
    const now = openDemo().getState().documents;
    const store = await opened({ ...now, project: { ...now.project, name: 'As it was' } });
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: /^Go back to add Emblem/ }));
      await Promise.resolve();
    });
    await screen.findByRole('button', { name: 'history' });
    expect(store.getState().documents.project.name).toBe('As it was');
    expect(store.getState().undo.at(-1)!.step!.name).toBe('go back to “add Emblem”');
    expect(store.getState().message).toContain('as it was after “add Emblem”');
    undo(store);
    expect(store.getState().documents.project.name).toBe(now.project.name);
  });
});
