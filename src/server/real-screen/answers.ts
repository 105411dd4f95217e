import { randomBytes } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { parseCookie, stringifySetCookie } from 'cookie';
import { Reading } from '@/core/screens/measured';
import { realScreenPage } from '@/formats/real-screen/page';
import type { Visit, Visits } from './visits';

const COOKIE = 'coulee-screen';
/** Of what a screen says of itself. */
const MOST_BYTES = 16 * 1024;
/** After how long without anything a line is kept open by a word that means nothing. */
const STILL_HERE_MS = 15_000;

/** What the answers are made of, besides the visits. */
export interface Outside {
  /** of the page, as it runs in a browser */
  script: () => string;
  /** a preview of a file, as WebP @throws Problem */
  preview: (hash: string, widthPx: number) => Promise<Buffer>;
}

/** One request, as far as it has been made out. */
interface Asked {
  request: IncomingMessage;
  response: ServerResponse;
  visits: Visits;
  outside: Outside;
  /** the first part of the path, and those behind it */
  address: string;
  rest: string[];
  visit: Visit | null;
}

const send = (
  response: ServerResponse,
  status: number,
  headers: Record<string, string>,
  body?: string | Buffer,
) => response.writeHead(status, { 'cache-control': 'no-store', ...headers }).end(body);

/** Nothing but what the page brings along runs in it, and it asks nobody else. */
function page({ response, outside, address }: Asked): void {
  const nonce = randomBytes(16).toString('base64');
  const policy = `default-src 'none'; script-src 'nonce-${nonce}'; style-src 'nonce-${nonce}'; connect-src 'self'; img-src data:; base-uri 'none'; form-action 'none'; frame-ancestors 'none'`;
  send(
    response,
    200,
    {
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': policy,
      'referrer-policy': 'no-referrer',
    },
    realScreenPage({ address, script: outside.script(), nonce }),
  );
}

/** Lets the screen in; one that has come before stays the one that it is. */
function come({ response, visits, address, visit: known }: Asked): boolean {
  if (known) {
    send(response, 204, {});
    return true;
  }
  const visit = visits.come(address);
  if (!visit) return false;
  const cookie = stringifySetCookie({
    name: COOKIE,
    value: visit.key,
    httpOnly: true,
    sameSite: 'strict',
    path: `/${address}`,
  });
  send(response, 204, { 'set-cookie': cookie });
  return true;
}

async function textOf(request: IncomingMessage): Promise<string | null> {
  const chunks: Buffer[] = [];
  let length = 0;
  for await (const chunk of request as AsyncIterable<Buffer>) {
    length += chunk.length;
    if (length > MOST_BYTES) return null;
    chunks.push(chunk);
  }
  return Buffer.concat(chunks).toString('utf8');
}

function readingOf(text: string): Reading | null {
  try {
    return Reading.safeParse(JSON.parse(text)).data ?? null;
  } catch {
    return null;
  }
}

async function read({ request, response }: Asked, visit: Visit): Promise<void> {
  const text = await textOf(request);
  const reading = text === null ? null : readingOf(text);
  if (reading) visit.read(reading);
  send(response, reading ? 204 : 422, {});
}

/** The newest of what is to be shown, as fast as the line takes it: what is older by then is left out. Source: HTML, server-sent events. */
function follow({ request, response }: Asked, visit: Visit): void {
  response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
  response.write(': here\n\n');
  let newest: string | null = null;
  const flush = () => {
    if (newest === null || response.writableNeedDrain) return;
    const text = newest;
    newest = null;
    response.write(`data: ${text}\n\n`);
  };
  response.on('drain', flush);
  const still = setInterval(() => response.write(': here\n\n'), STILL_HERE_MS);
  const leave = visit.listen((told) => {
    if (told.kind === 'end') return void response.end('event: end\ndata: \n\n');
    newest = told.text;
    flush();
  });
  const over = () => {
    clearInterval(still);
    leave();
  };
  response.on('close', over);
  request.on('error', over);
}

/** A preview of a file that is shown there; of no other. */
async function file({ response, rest, outside }: Asked, visit: Visit): Promise<boolean> {
  const [, hash = '', width = ''] = rest;
  if (!visit.maySee(hash) || !/^\d{1,6}$/.test(width)) return false;
  const bytes = await outside.preview(hash, Number(width)).catch(() => null);
  if (!bytes) return false;
  send(response, 200, { 'content-type': 'image/webp', 'cache-control': 'private, max-age=600' }, bytes);
  return true;
}

const SAID: Readonly<Record<string, (asked: Asked, visit: Visit) => unknown>> = {
  'POST reading': read,
  'GET shown': follow,
  'GET files': file,
};

/** @returns whether there was something to answer */
async function answered(asked: Asked): Promise<boolean> {
  const { request, address, rest, visits, visit } = asked;
  const [what] = rest;
  if (what === undefined) {
    if (request.method !== 'GET' || !(visit || visits.isUnused(address))) return false;
    page(asked);
    return true;
  }
  if (request.method === 'POST' && what === 'come' && rest.length === 1) return come(asked);
  const say = visit && SAID[`${request.method} ${what}`];
  if (!say || (what !== 'files' && rest.length > 1)) return false;
  return (await say(asked, visit)) !== false;
}

/**
 * Answers one request of a real screen.
 * @param own the host and port that it has to be addressed to
 * @returns false for everything that is not there, of which nothing was said yet
 */
export async function answer(
  request: IncomingMessage,
  response: ServerResponse,
  { visits, outside, own }: { visits: Visits; outside: Outside; own: string },
): Promise<boolean> {
  const { host, origin, cookie = '' } = request.headers;
  if (host !== own || (origin !== undefined && origin !== `http://${own}`)) return false;
  const [address = '', ...rest] = (request.url ?? '').slice(1).split('/');
  const visit = visits.known(address, parseCookie(cookie)[COOKIE]);
  return answered({ request, response, visits, outside, address, rest, visit });
}
