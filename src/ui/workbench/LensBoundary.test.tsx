/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { useWorkbench, WorkbenchProvider } from '../state/context';
import { openDemo } from '../state/testing/opened';
import { LensBoundary, reasonFile } from './LensBoundary';

let throws = true;
function Fragile() {
  useWorkbench((s) => s.view.lens);
  if (throws) throw new Error('A figure is missing.');
  return <p>drawn</p>;
}

function shown(store = openDemo()) {
  render(
    <WorkbenchProvider value={store}>
      <p>the bar</p>
      <LensBoundary part="The lens “fits”" isMain>
        <Fragile />
      </LensBoundary>
    </WorkbenchProvider>,
  );
  return store;
}

beforeEach(() => {
  throws = true;
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
});
afterEach(() => jest.restoreAllMocks());

describe('a part of the page that throws', () => {
  it('takes nothing else along, and says what happened', () => {
    shown();
    expect(screen.getByText('the bar')).not.toBeNull();
    expect(screen.getByRole('heading', { name: 'The lens “fits” has failed' })).not.toBeNull();
    expect(screen.getByRole('alert').textContent).toContain('A figure is missing.');
    expect(screen.getByRole('main')).not.toBeNull();
  });

  it('is tried again when asked, and when something else is looked at', () => {
    const store = shown();
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(screen.queryByText('drawn')).toBeNull();
    throws = false;
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(screen.getByText('drawn')).not.toBeNull();
    throws = true;
    act(() => store.setState(({ view }) => ({ view: { ...view, lens: 'fits' } })));
    expect(screen.getByRole('alert')).not.toBeNull();
    throws = false;
    fireEvent.click(screen.getByRole('button', { name: 'go to the screens' }));
    expect(store.getState().view.lens).toBe('screens');
    expect(screen.getByText('drawn')).not.toBeNull();
  });

  it('gives its reason as a file, with everything that was there', () => {
    const store = openDemo();
    const file = JSON.parse(reasonFile(new Error('A figure is missing.'), store.getState(), 'at Fragile'));
    expect(file.error.message).toBe('A figure is missing.');
    expect(file.documents.project.id).toBe(store.getState().documents.project.id);
    expect(file.componentStack).toBe('at Fragile');
  });
});
