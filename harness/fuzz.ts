import fc from 'fast-check';
import { ask, copyDemo, read, type Stored } from './client';
import { files, inputs, type Input } from './inputs';
import { seen, type Seen } from './report';
import { withServer } from './server';

/** Words by which the library that checks schemas could be recognised. */
const FOREIGN = /invalid input|expected|received|undefined|\bNaN\b|\[object|at Object\.|node_modules/i;

interface Answered {
  status: number;
  text: string;
}
async function answered(address: string, { method, route, body, headers }: Input): Promise<Answered> {
  try {
    const answer = await ask(
      address,
      method,
      route,
      ['GET', 'HEAD'].includes(method) ? undefined : body,
      headers,
    );
    const type = answer.headers.get('content-type') ?? '';
    return {
      status: answer.status,
      text: type.includes('json') ? await answer.text() : (await answer.arrayBuffer(), ''),
    };
  } catch (error) {
    return { status: 0, text: String((error as Error).cause ?? error) };
  }
}

const show = ({ method, route, body }: Input, { status, text }: Answered) =>
  `${method} ${route.slice(0, 90)} ${body instanceof Uint8Array ? `${body.length} bytes` : JSON.stringify(body ?? '').slice(0, 160)} → ${status} ${text.slice(0, 160)}`;

interface Tally {
  broken: string[];
  foreign: string[];
  forged: number;
  taken: number;
}

function count(tally: Tally, input: Input, answer: Answered): void {
  const { status, text } = answer;
  const ok = status > 0 && status < 300;
  if (status >= 500 || status === 0) tally.broken.push(show(input, answer));
  if (ok && input.method !== 'GET') tally.taken++;
  if (ok && (input.body as { name?: string } | undefined)?.name === 'Forged') tally.forged++;
  const title = /"title":"((?:[^"\\]|\\.)*)"/.exec(text)?.[1] ?? '';
  if (status >= 400 && FOREIGN.test(title)) tally.foreign.push(show(input, answer));
}

const shown = (faults: readonly string[]) =>
  faults.length === 0 ? '' : `\n        ${faults.slice(0, 8).join('\n        ')}`;

/** Sends what is wrong in one way or another to every route. */
export const fuzz = (seed: number, runs: number): Promise<Seen[]> =>
  withServer(async ({ address }) => {
    const id = await copyDemo(address);
    const list = fc.sample(inputs(id, await read(address, id), await files()), { seed, numRuns: runs });
    const tally: Tally = { broken: [], foreign: [], forged: 0, taken: 0 };
    let now: Stored | null = await read(address, id);
    for (const input of list) {
      const sent: Input = { ...input, ...(input.late && now ? input.late(now) : {}) };
      const answer = await answered(address, sent);
      count(tally, sent, answer);
      if (answer.status < 300 && sent.method === 'PATCH') now = await read(address, id).catch(() => null);
    }
    now = await read(address, id).catch(() => null);
    const pages = [await ask(address, 'GET', `/projects/${id}`), await ask(address, 'GET', '/')];
    const { broken, foreign, forged, taken } = tally;
    return [
      seen(
        'no input makes the server fail',
        broken.length === 0,
        `${broken.length} of ${runs}, ${taken} were right and taken${shown(broken)}`,
      ),
      seen(
        'what is refused is refused in words of the product',
        foreign.length === 0,
        `${foreign.length} were not${shown(foreign)}`,
      ),
      seen('nothing is taken from another site', forged === 0, `${forged} were`),
      seen(
        'the project and the pages are still there',
        now !== null && pages.every((p) => p.status === 200),
        `revision ${now?.revision}, pages ${pages.map((p) => p.status).join(', ')}`,
      ),
    ];
  });
