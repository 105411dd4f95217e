import { lookup } from 'node:dns/promises';
import http, { type IncomingMessage } from 'node:http';
import https from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import { Problem } from '../problem';
import { FETCHING, INPUT_LIMITS } from '../settings';
import { tooLarge } from './picture';
import { isPublic } from './public-address';

/** Every address that a name stands for. */
export type Resolve = (hostname: string) => Promise<string[]>;

const resolveName: Resolve = async (hostname) =>
  (await lookup(hostname, { all: true })).map((a) => a.address);

interface Options {
  resolve?: Resolve;
  /** `host:port` of servers that are let in although they are not public; only for tests */
  allowed?: readonly string[];
  timeoutMs?: number;
}

const refused = (problem: string) => new Problem(422, problem);

function parse(address: string): URL {
  const url = URL.canParse(address) ? new URL(address) : null;
  if (!url || !['http:', 'https:'].includes(url.protocol))
    throw refused('An address begins with https:// or http:// and names a picture file.');
  if (url.username || url.password)
    throw refused(
      'An address with a name and password in it is not fetched. Download the file and drop it here.',
    );
  return url;
}

const portOf = ({ port, protocol }: URL) => port || (protocol === 'https:' ? '443' : '80');
/** IPv6 stands in brackets in an address. */
const hostOf = ({ hostname }: URL) => hostname.replace(/^\[|\]$/g, '');

/**
 * The address to connect to: every one that the name stands for has to be public, so that none of them leads into
 * the network of this machine.
 */
async function checkedAddress(url: URL, { resolve = resolveName, allowed = [] }: Options): Promise<string> {
  const host = hostOf(url);
  const found = isIP(host)
    ? [host]
    : await resolve(host).catch(() => {
        throw refused(`No server is known under the name “${host}”.`);
      });
  if (found.length === 0) throw refused(`No server is known under the name “${host}”.`);
  if (allowed.includes(`${host}:${portOf(url)}`)) return found[0]!;
  if (!found.every(isPublic))
    throw refused(
      `“${host}” is not a public address, so nothing is fetched from it. Download the file and drop it here.`,
    );
  return found[0]!;
}

/** Asks one address, connecting to what was checked: the name is not looked up again. */
function ask(url: URL, address: string, signal: AbortSignal): Promise<IncomingMessage> {
  const family = isIP(address);
  const checked: LookupFunction = (_, options, done) =>
    options.all ? done(null, [{ address, family }]) : done(null, address, family);
  const { request } = url.protocol === 'https:' ? https : http;
  return new Promise((resolve, reject) => {
    const options = {
      lookup: checked,
      agent: false as const,
      signal,
      headers: { accept: 'image/*', 'accept-encoding': 'identity', 'user-agent': 'Coulee' },
    };
    request(url, options, resolve).on('error', reject).end();
  });
}

const isRedirect = (status: number) => [301, 302, 303, 307, 308].includes(status);

/** Follows redirects, each checked like the first address. */
async function follow(start: URL, options: Options, signal: AbortSignal): Promise<[IncomingMessage, URL]> {
  let url = start;
  for (let hop = 0; hop <= FETCHING.redirects; hop++) {
    const response = await ask(url, await checkedAddress(url, options), signal);
    const status = response.statusCode ?? 0;
    if (!isRedirect(status)) return [response, url];
    response.destroy();
    const { location } = response.headers;
    if (!location || !URL.canParse(location, url)) throw refused(`${url.host} sends on to nowhere.`);
    url = parse(new URL(location, url).href);
  }
  throw refused(`The address sends on more than ${FETCHING.redirects} times.`);
}

function checkType({ headers }: IncomingMessage, url: URL): void {
  const type = (headers['content-type'] ?? '').split(';')[0]!.trim().toLowerCase();
  if (type === '' || type === 'application/octet-stream' || type.startsWith('image/')) return;
  throw new Problem(
    415,
    `${url.host} answers with ${type}, not with a picture. Give the address of the file itself.`,
  );
}

async function bytesOf(response: IncomingMessage, name: string): Promise<Buffer> {
  const limit = INPUT_LIMITS.pictureBytes;
  if (Number(response.headers['content-length'] ?? 0) > limit) throw tooLarge(name);
  const chunks: Buffer[] = [];
  let length = 0;
  for await (const chunk of response as AsyncIterable<Buffer>) {
    chunks.push(chunk);
    length += chunk.length;
    if (length > limit) throw tooLarge(name);
  }
  return Buffer.concat(chunks);
}

function nameOf({ pathname, host }: URL): string {
  const last = pathname.split('/').findLast(Boolean) ?? '';
  const decoded = /%(?![0-9a-f]{2})/i.test(last) ? last : decodeURIComponent(last);
  return decoded.replaceAll(/[/\\\u0000-\u001f]/g, '').slice(-INPUT_LIMITS.nameLength) || host;
}

/**
 * Fetches a picture file from a public http(s) address.
 * @throws Problem 403 when that is switched off, 413 too large, 415 not a picture, 422 for an address that is not
 * public or does not answer, 504 when it takes too long
 */
export async function fetchPicture(
  address: string,
  options: Options = { allowed: FETCHING.allowed() },
): Promise<{ bytes: Buffer; name: string }> {
  if (!FETCHING.isOn())
    throw new Problem(
      403,
      'Fetching from addresses is switched off on this server. Download the file and drop it here.',
    );
  const first = parse(address.trim());
  const signal = AbortSignal.timeout(options.timeoutMs ?? FETCHING.timeoutMs);
  let response: IncomingMessage | null = null;
  try {
    const [answer, url] = await follow(first, options, signal);
    response = answer;
    const status = answer.statusCode ?? 0;
    if (status !== 200) throw refused(`${url.host} answers ${status}: there is no file at this address.`);
    checkType(answer, url);
    const name = nameOf(url);
    return { bytes: await bytesOf(answer, name), name };
  } catch (error) {
    if (error instanceof Problem) throw error;
    if (signal.aborted) throw new Problem(504, `${first.host} takes too long to answer.`);
    throw refused(`${first.host} cannot be reached.`);
  } finally {
    response?.destroy();
  }
}
