import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { Problem } from './problem';

const LOOPBACK_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);
const SESSION_HOURS = 24 * 14;
export const SESSION_COOKIE = 'coulee-session';

/** Set when the server listens on more than loopback; `scripts/start.mjs` refuses to start without it there. */
const passphrase = () => process.env.PASSPHRASE ?? '';
export const needsPassphrase = () => passphrase() !== '';

const shared = globalThis as unknown as { couleeSecret?: Buffer };
/** Sessions end when the server does. */
const secret = () => (shared.couleeSecret ??= randomBytes(32));

const sign = (text: string) => createHmac('sha256', secret()).update(text).digest('base64url');

function sameText(a: string, b: string): boolean {
  const [x, y] = [sign(a), sign(b)];
  return timingSafeEqual(Buffer.from(x), Buffer.from(y));
}

export const isPassphrase = (text: string) => needsPassphrase() && sameText(text, passphrase());

/** A signed time until which a browser may come in. */
export function newSession(now = Date.now()): { value: string; maxAge: number } {
  const maxAge = SESSION_HOURS * 3600;
  const until = String(now + maxAge * 1000);
  return { value: `${until}.${sign(until)}`, maxAge };
}

export function isSession(value: string | undefined, now = Date.now()): boolean {
  const [until, signature] = value?.split('.') ?? [];
  return Boolean(until && signature && sameText(signature, sign(until)) && Number(until) > now);
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

const readCookie = (request: Request, name: string) =>
  request.headers
    .get('cookie')
    ?.split(';')
    .map((c) => c.trim())
    .find((c) => c.startsWith(`${name}=`))
    ?.slice(name.length + 1);

/** @throws Problem 421 for a foreign host, 401 without the passphrase, 403 for a change asked for by another site */
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
  if (!open && needsPassphrase() && !isSession(readCookie(request, SESSION_COOKIE))) {
    throw new Problem(401, 'Enter the passphrase of this server first.');
  }
}
