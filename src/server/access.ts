import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { parseCookie } from 'cookie';
import { Problem } from './problem';
import { shared } from './process-wide';

const LOOPBACK_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);
const SESSION_HOURS = 24 * 14;
export const SESSION_COOKIE = 'coulee-session';

/** Set when the server listens on more than loopback; `scripts/start.mjs` refuses to start without it there. */
const passphrase = () => process.env.PASSPHRASE ?? '';
export const needsPassphrase = () => passphrase() !== '';

/** Sessions end when the server does: they are signed with a secret of its own, and those that were ended are known. */
interface Sessions {
  secret: Buffer;
  ended: Set<string>;
}
const sessions = shared('sessions', (): Sessions => ({ secret: randomBytes(32), ended: new Set<string>() }));

const sign = (text: string) => createHmac('sha256', sessions().secret).update(text).digest('base64url');

function sameText(a: string, b: string): boolean {
  const [x, y] = [sign(a), sign(b)];
  return timingSafeEqual(Buffer.from(x), Buffer.from(y));
}

export const isPassphrase = (text: string) => needsPassphrase() && sameText(text, passphrase());

/** A signed time until which a browser may come in, with a number of its own, so that it can be ended by itself. */
export function newSession(now = Date.now()): { value: string; maxAge: number } {
  const maxAge = SESSION_HOURS * 3600;
  const session = `${now + maxAge * 1000}.${randomBytes(9).toString('base64url')}`;
  return { value: `${session}.${sign(session)}`, maxAge };
}

export function isSession(value: string | undefined, now = Date.now()): boolean {
  const [until, number, signature] = value?.split('.') ?? [];
  if (!until || !number || !signature || !sameText(signature, sign(`${until}.${number}`))) return false;
  return Number(until) > now && !sessions().ended.has(number);
}

/** Ends a session: whoever has kept its cookie does not come in with it any more. */
export function endSession(value: string | undefined): void {
  if (isSession(value)) sessions().ended.add(value!.split('.')[1]!);
}

const hostName = (host: string) => host.replace(/:\d+$/, '').toLowerCase();

/** Without a passphrase only the loopback names are answered, so that no other site’s name can be pointed here. */
export const isKnownHost = (host: string | null): boolean =>
  host !== null && (needsPassphrase() || LOOPBACK_NAMES.has(hostName(host)));

/** Whether a request was made by a page of this very server. */
function isSameOrigin(request: Request): boolean {
  const origin = request.headers.get('origin');
  if (origin === null) return request.headers.get('sec-fetch-site') === 'same-origin';
  try {
    return new URL(origin).host === request.headers.get('host');
  } catch {
    return false;
  }
}

/** The session that a request brings along. */
export const sessionOf = (request: Request): string | undefined =>
  parseCookie(request.headers.get('cookie') ?? '')[SESSION_COOKIE];

/** Whether a page of another site asks. Who types the address in, or is no browser, says none or nothing. */
const isForeign = (request: Request) =>
  ['cross-site', 'same-site'].includes(request.headers.get('sec-fetch-site') ?? '');

/** @throws Problem 421 for a foreign host, 401 without the passphrase, 403 for what another site asks for */
export function checkAccess(request: Request, open = false): void {
  if (!isKnownHost(request.headers.get('host'))) {
    throw new Problem(421, 'This server only answers under its own address, such as 127.0.0.1.');
  }
  const reads = request.method === 'GET' || request.method === 'HEAD';
  if (!reads && !isSameOrigin(request)) {
    throw new Problem(
      403,
      'Changes are only taken from pages of this server: send its own address as Origin.',
    );
  }
  if (isForeign(request))
    throw new Problem(
      403,
      'Pages of other sites are not answered. Open this address in a window of its own.',
    );
  if (!open && needsPassphrase() && !isSession(sessionOf(request))) {
    throw new Problem(401, 'Enter the passphrase of this server first.');
  }
}
