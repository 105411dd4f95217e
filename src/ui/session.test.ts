import { fetchInside } from './session';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

/** A server that takes a request and never answers. */
const silent: typeof fetch = (_, init) =>
  new Promise((_, reject) => {
    init?.signal?.addEventListener('abort', () => reject(init.signal!.reason as Error));
  });

it('does not wait for an answer beyond its deadline', async () => {
  globalThis.fetch = silent;
  await expect(fetchInside('/x', {}, 5)).rejects.toMatchObject({ name: 'TimeoutError' });
});

it('ends where whoever asks ends it', async () => {
  globalThis.fetch = silent;
  const leaving = new AbortController();
  const asked = fetchInside('/x', { signal: leaving.signal });
  leaving.abort();
  await expect(asked).rejects.toMatchObject({ name: 'AbortError' });
});
