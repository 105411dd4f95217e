import { projectPixels } from './pixels';
import { fetchInside } from '../session';

jest.mock('../session', () => ({ fetchInside: jest.fn() }));
const fetching = jest.mocked(fetchInside);

const SIZE = { widthPx: 400, heightPx: 300 };
const DRAWN = { width: 400, height: 300 };
const HASH = 'a'.repeat(64);
const bitmap = {} as ImageBitmap;

describe('the pixels of drawings', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    fetching.mockReset();
    Object.assign(globalThis, { createImageBitmap: () => Promise.resolve(bitmap) });
  });
  afterEach(() => jest.useRealTimers());

  const answer = { ok: true, blob: () => Promise.resolve(new Blob()) } as Response;
  const settle = () => jest.advanceTimersByTimeAsync(2500);

  /** Whatever is painted asks again when more is said to be there. */
  const painted = () => {
    const store = projectPixels(() => SIZE);
    let shown = store.pixels(HASH, DRAWN);
    store.subscribe(() => (shown = store.pixels(HASH, DRAWN)));
    return () => shown;
  };

  it('that could not be loaded are asked for again, without anything else being done', async () => {
    fetching.mockRejectedValueOnce(new Error('away')).mockResolvedValue(answer);
    const shown = painted();
    await settle();
    await settle();
    expect(shown()).toBe(bitmap);
    expect(fetching).toHaveBeenCalledTimes(2);
  });

  it('that are lost are not asked for for ever', async () => {
    fetching.mockResolvedValue({ ok: false, status: 410 } as Response);
    const shown = painted();
    for (let i = 0; i < 30; i++) await settle();
    expect(shown()).toBeNull();
    expect(fetching.mock.calls.length).toBeLessThanOrEqual(6);
  });
});
