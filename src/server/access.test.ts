import {
  checkAccess,
  endSession,
  isKnownHost,
  isPassphrase,
  isSession,
  newSession,
  SESSION_COOKIE,
} from './access';

const request = (method: string, headers: Record<string, string>) =>
  ({ method, headers: new Headers(headers) }) as Request;
const status = (r: Request, open = false) => {
  try {
    checkAccess(r, open);
    return 200;
  } catch (error) {
    return (error as { status: number }).status;
  }
};
const host = '127.0.0.1:3000';
const origin = `http://${host}`;

afterEach(() => {
  delete process.env.PASSPHRASE;
});

describe('on loopback', () => {
  it.each(['127.0.0.1:3000', 'localhost', '[::1]:80'])('%s is answered', (name) =>
    expect(isKnownHost(name)).toBe(true),
  );
  it.each(['evil.test', 'localhost.evil.test:3000', '10.0.0.5', ''])('%s is not', (name) => {
    expect(status(request('GET', { host: name }))).toBe(421);
  });

  it('changes are only taken from the same origin', () => {
    expect(status(request('GET', { host }))).toBe(200);
    expect(status(request('POST', { host, origin }))).toBe(200);
    expect(status(request('POST', { host, 'sec-fetch-site': 'same-origin' }))).toBe(200);
    expect(status(request('POST', { host }))).toBe(403);
    expect(status(request('DELETE', { host, origin: 'http://evil.test' }))).toBe(403);
    expect(status(request('PATCH', { host, origin: 'null' }))).toBe(403);
  });
});

describe('with a passphrase', () => {
  const cookie = (value: string) => `a=b; ${SESSION_COOKIE}=${value}`;
  it('asks for it, and lets a session in', () => {
    process.env.PASSPHRASE = 'long enough';
    expect(isPassphrase('long enough')).toBe(true);
    expect(isPassphrase('long')).toBe(false);
    const there = { host: 'box.test' };
    expect(status(request('GET', there))).toBe(401);
    expect(status(request('GET', there), true)).toBe(200);
    expect(status(request('GET', { ...there, cookie: cookie(newSession().value) }))).toBe(200);
    expect(status(request('GET', { ...there, cookie: cookie('9999999999999.forged') }))).toBe(401);
  });

  it('ends a session in time', () => {
    const { value, maxAge } = newSession(0);
    expect(isSession(value, maxAge * 1000 - 1)).toBe(true);
    expect(isSession(value, maxAge * 1000 + 1)).toBe(false);
    expect(isSession(undefined)).toBe(false);
  });

  it('has none to match when none is set', () => expect(isPassphrase('')).toBe(false));
});

describe('what another site asks for', () => {
  it.each(['cross-site', 'same-site'])('is refused, also when it only reads (%s)', (site) =>
    expect(status(request('GET', { host, 'sec-fetch-site': site }))).toBe(403),
  );
  it.each(['same-origin', 'none'])('is not what this site or its user asks for (%s)', (site) =>
    expect(status(request('GET', { host, 'sec-fetch-site': site }))).toBe(200),
  );
});

it('a session that was ended lets nobody in, and no other session is ended with it', () => {
  process.env.PASSPHRASE = 'open';
  const now = Date.now();
  const [mine, other] = [newSession(now).value, newSession(now).value];
  endSession(mine);
  expect([isSession(mine), isSession(other)]).toEqual([false, true]);
  endSession('made up');
  expect(isSession(other)).toBe(true);
});
