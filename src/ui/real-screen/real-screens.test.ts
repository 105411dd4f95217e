import * as api from '@/formats/api/real-screens';
import type { RealScreens } from '@/formats/real-screen/shown';
import { ask } from '../api';
import { createRealScreens } from './real-screens';

jest.mock('../api', () => ({ ask: jest.fn(), messageOf: (error: Error) => error.message }));
const asking = jest.mocked(ask) as unknown as jest.Mock<Promise<unknown>, [{ id: string }, object, object?]>;

const OFF: RealScreens = { on: false, networks: ['192.0.2.7'] };
const ON: RealScreens = {
  on: true,
  networks: ['192.0.2.7'],
  address: 'http://192.0.2.7:3100/abc',
  until: '2026-01-05T09:00:00.000Z',
  visitors: [],
};

describe('real screens as a page knows them', () => {
  beforeEach(() => asking.mockReset());

  it('are the same object while nothing is new, so that nothing is drawn anew', async () => {
    asking.mockImplementation(() => Promise.resolve(structuredClone(ON)));
    const known = createRealScreens('p');
    await known.refresh();
    const { screens } = known.store.getState();
    await known.refresh();
    expect(known.store.getState().screens).toBe(screens);
  });

  it('are asked for again after each thing that is done, in the network that was chosen', async () => {
    asking.mockImplementation((o) => Promise.resolve(o.id === api.readRealScreens.id ? ON : undefined));
    const known = createRealScreens('p');
    await known.letIn('192.0.2.7');
    expect(asking).toHaveBeenNthCalledWith(
      1,
      api.letRealScreenIn,
      { project: 'p' },
      { body: { network: '192.0.2.7' } },
    );
    expect(known.store.getState()).toMatchObject({ screens: ON, busy: false, problem: null });
    asking.mockImplementation((o) => Promise.resolve(o.id === api.readRealScreens.id ? OFF : undefined));
    await known.switchOff();
    expect(known.store.getState().screens).toEqual(OFF);
  });

  it('say what went wrong, and are not busy for ever', async () => {
    asking.mockRejectedValue(new Error('This machine is in no network.'));
    const known = createRealScreens('p');
    await known.letIn();
    expect(known.store.getState()).toMatchObject({ busy: false, problem: 'This machine is in no network.' });
    asking.mockResolvedValue(OFF);
    await known.sendAway('one');
    expect(known.store.getState().problem).toBeNull();
  });
});
