import { ask, edit, editor, lostOf, read, type Editor } from './client';
import { plainPng, slowDrawing } from './files';
import { quantile, seen, type Seen } from './report';
import { randomOf } from '../truth/random';
import { memoryOf, withServer } from './server';

const CLIENTS = 50;
/** Between one thing and the next, as somebody who works fast. */
const THINK_MS = { least: 200, most: 1000 };
/** Of ten things that are done, so many are this. */
const CASES = 1.5;
const IMPORTS = 0.5;
const PAGES = 1;
const CASE = 'phone-375x667-2x-home.0.light';

interface Log {
  saves: number[];
  cases: number[];
  imports: number[];
  pages: number[];
  faults: string[];
  refused: number;
}

async function timed(log: number[], work: () => Promise<number>): Promise<number> {
  const start = performance.now();
  const status = await work();
  log.push(performance.now() - start);
  return status;
}

async function importing(address: string, id: string, random: () => number): Promise<number> {
  const png = await plainPng({ width: 1200, height: 900 }, random);
  return (await ask(address, 'POST', `/api/v1/projects/${id}/files?name=a.png`, png)).status;
}

async function drawing(address: string, id: string, caseId: string): Promise<number> {
  const answer = await ask(
    address,
    'GET',
    `/api/v1/projects/${id}/scenes/winter-splash/cases/${caseId}?scale=1`,
  );
  await answer.arrayBuffer();
  return answer.status;
}

async function opening(address: string, id: string): Promise<number> {
  const page = await ask(address, 'GET', `/projects/${id}`);
  await page.arrayBuffer();
  return page.status;
}

/** One who works until the time is up. */
async function client(
  address: string,
  who: Editor,
  until: number,
  random: () => number,
  log: Log,
): Promise<void> {
  while (Date.now() < until) {
    const dice = random() * 10;
    const status =
      dice < IMPORTS
        ? await timed(log.imports, () => importing(address, who.id, random))
        : dice < IMPORTS + CASES
          ? await timed(log.cases, () => drawing(address, who.id, CASE))
          : dice < IMPORTS + CASES + PAGES
            ? await timed(log.pages, () => opening(address, who.id))
            : await timed(log.saves, () => edit(address, who));
    if (status === 503) log.refused++;
    else if (status >= 500 || status === 0) log.faults.push(`${status}`);
    else if (status >= 400) log.faults.push(`${status}`);
    await new Promise((resolve) =>
      setTimeout(resolve, THINK_MS.least + random() * (THINK_MS.most - THINK_MS.least)),
    );
  }
}

const mb = (bytes: number) => `${Math.round(bytes / 1e6)} MB`;

const ms = (values: readonly number[]) =>
  `${values.length}, ${[0.5, 0.95].map((share) => `p${share * 100} ${Math.round(quantile(values, share))} ms`).join(', ')}, worst ${Math.round(Math.max(...values))} ms`;

/** Fifty people who work at the same time, one of whom imports drawings that take long. @param seconds how long */
export const load = (seed: number, seconds: number): Promise<Seen[]> =>
  withServer(async ({ address, child }) => {
    const random = randomOf(seed).next;
    const log: Log = { saves: [], cases: [], imports: [], pages: [], faults: [], refused: 0 };
    const editors: Editor[] = [];
    for (let i = 0; i < CLIENTS; i++) editors.push(await editor(address));
    const before = memoryOf(child.pid!);
    let peak = 0;
    const watch = setInterval(() => (peak = Math.max(peak, memoryOf(child.pid!))), 250);
    try {
      const until = Date.now() + seconds * 1000;
      const slowOne = async () => {
        while (Date.now() < until) {
          const answer = await ask(
            address,
            'POST',
            `/api/v1/projects/${editors[0]!.id}/files?name=slow.svg`,
            slowDrawing(2),
          );
          if (answer.status >= 500) log.faults.push(`slow drawing ${answer.status}`);
        }
      };
      await Promise.all([slowOne(), ...editors.map((who) => client(address, who, until, random, log))]);
    } finally {
      clearInterval(watch);
    }
    let lost = 0;
    for (const who of editors) lost += lostOf(who, await read(address, who.id));
    return [
      seen('nothing that was saved is lost', lost === 0, `${lost} lost of ${log.saves.length}`),
      seen(
        'nothing fails',
        log.faults.length === 0,
        `${log.faults.length} (${log.faults.slice(0, 5).join(', ')}), ${log.refused} asked to come again`,
      ),
      seen('a save is answered', log.saves.length > 0, ms(log.saves)),
      seen('a case is drawn beside slow drawings', log.cases.length > 0, ms(log.cases)),
      seen('a picture is taken in', log.imports.length > 0, ms(log.imports)),
      seen('a page is opened', log.pages.length > 0, ms(log.pages)),
      seen(
        'memory is bounded',
        peak < 4e9,
        `${mb(before)} before, ${mb(peak)} at most, ${mb(memoryOf(child.pid!))} after`,
      ),
    ];
  });
