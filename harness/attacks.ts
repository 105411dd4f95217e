import PQueue from 'p-queue';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import Database from 'better-sqlite3';
import { unzipSync, zipSync, type Zippable } from 'fflate';
import type { Change } from '../src/core/patch/change';
import type { Operation } from '../src/core/patch/patch';
import { namingLetters, swellingWoff } from '../src/server/testing/hostile-fonts';
import { archived, ask, edit, editor, made, read, save } from './client';
import { slowDrawing } from './files';
import { isFine, meanwhile, sayMeanwhile } from './meanwhile';
import { say, seen, type Seen } from './report';
import { withServer } from './server';

const MB = 1024 * 1024;
/** How many files are on their way at a time: of more, the last would wait for longer than a client does. */
const AT_ONCE = 6;
const DEMO = 'larkmoor-ferries';

/** How many answers had which status. */
const sayStatuses = (answers: readonly number[]) =>
  [...new Set(answers)].map((s) => `${answers.filter((a) => a === s).length} × ${s}`).join(', ');

/** Sends files of one kind and says what became of them. @param statuses that may come back */
const sending = (what: string, route: string, files: () => Uint8Array[], statuses: number[]) =>
  withServer(async (served) => {
    const sent = files();
    const answers: number[] = [];
    const during = await meanwhile(served, async () => {
      const turns = new PQueue({ concurrency: AT_ONCE });
      await turns.addAll(
        sent.map((file) => async () => {
          answers.push((await ask(served.address, 'POST', route, file)).status);
        }),
      );
    });
    const isKept = isFine(during) && answers.every((s) => statuses.includes(s));
    return seen(`${what}: nobody is silenced`, isKept, `${sayStatuses(answers)}; ${sayMeanwhile(during)}`);
  });

/** An archive with 2 GB of JSON that nothing names. */
function idleArchive(own: Uint8Array): Uint8Array {
  const idle = new Uint8Array(4 * MB - 1).fill(32);
  const beside = Array.from({ length: 480 }, (_, i) => [`scenes/idle-${i}.json`, [idle, { level: 9 }]]);
  return zipSync({ ...unzipSync(own), ...(Object.fromEntries(beside) as Zippable) });
}

const archives = () =>
  withServer(async (served) => {
    const file = idleArchive(await made(served.address, DEMO, await archived(served.address, DEMO)));
    // Making it takes a minute, in which the server has closed what it was connected by.
    await pause(1000);
    const answers: number[] = [];
    const during = await meanwhile(served, () =>
      Promise.all(
        [1, 2, 3].map(async () =>
          answers.push((await ask(served.address, 'POST', '/api/v1/archives?name=a.zip', file)).status),
        ),
      ),
    );
    const isKept = isFine(during) && answers.every((s) => s === 201);
    return seen(
      'three archives with 2 GB that nothing names silence nobody',
      isKept,
      `${answers.join(', ')}; ${sayMeanwhile(during)}`,
    );
  });

const patch = () =>
  withServer(async (served) => {
    const id = DEMO;
    const { revision } = await read(served.address, id);
    const paths = Array.from({ length: 5000 }, (_, i): Operation => ({
      op: 'add',
      path: '/project/named/-',
      value: { id: `v${i}`, name: `Value ${i}`, kind: 'length', value: { value: i, unit: 'lu' } },
    }));
    let status = 0;
    const during = await meanwhile(served, async () => {
      const change: Change = {
        id: crypto.randomUUID(),
        patch: paths,
        inverse: paths.map((_, i): Operation => ({
          op: 'remove',
          path: `/project/named/${paths.length - 1 - i}`,
        })),
      };
      ({ status } = await save(served.address, { id, revision }, change));
    });
    const isKept = during.worstMs <= 1000 && status < 500;
    return seen('a change of 5,000 steps keeps nobody waiting', isKept, `${status}; ${sayMeanwhile(during)}`);
  });

const lock = () =>
  withServer(async (served, store) => {
    const editors = await Promise.all([1, 2, 3].map(() => editor(served.address)));
    const other = new Database(path.join(store, 'coulee.db'));
    let statuses: number[] = [];
    const during = await meanwhile(served, async () => {
      other.exec('begin immediate');
      const saving = Promise.all(editors.map((who) => edit(served.address, who)));
      await pause(2000);
      other.exec('rollback');
      statuses = await saving;
    });
    other.close();
    const isKept = isFine(during) && statuses.every((s) => s === 200);
    return seen(
      'three saves while another program holds the store wait, and nobody else',
      isKept,
      `${statuses.join(', ')}; ${sayMeanwhile(during)}`,
    );
  });

const flip = () =>
  withServer(async (served, store) => {
    const { documents } = await read(served.address, DEMO);
    const { hash } = documents.project.pictures[0]!.cuts[0]!.renditions[0]!;
    const file = path.join(store, 'pictures', hash.slice(0, 2), hash);
    const whole = readFileSync(file);
    const bytes = Buffer.from(whole);
    bytes.writeUInt8(bytes.readUInt8(bytes.length >> 1) ^ 1, bytes.length >> 1);
    writeFileSync(file, bytes);
    const { state } = await archived(served.address, DEMO);
    const lost = async () =>
      (
        (await (await ask(served.address, 'GET', `/api/v1/projects/${DEMO}/lost-files`)).json()) as {
          lost: string[];
        }
      ).lost;
    const named = await lost();
    await (
      await ask(served.address, 'POST', `/api/v1/projects/${DEMO}/files?name=a.png`, whole)
    ).arrayBuffer();
    const left = await lost();
    return seen(
      'no export is done over a flipped bit, it is named, and the right bytes heal it',
      state === 'failed' && named.includes(hash) && left.length === 0,
      `export ${state}, ${named.length} named, ${left.length} after the right bytes`,
    );
  });

/** What somebody might send to silence or to end the server, one after another, each to a server of its own. */
export async function attacks(): Promise<Seen[]> {
  const fonts = `/api/v1/projects/${DEMO}/fonts?name=a.ttf`;
  const runs = [
    () => sending('a font that names 2³¹ letters', fonts, () => [namingLetters(2 ** 31 - 1)], [200, 201]),
    () => sending('a font that names 10⁸ letters', fonts, () => [namingLetters(1e8)], [200, 201]),
    () =>
      sending('fonts that unpack to 1.5 GB', fonts, () => [1, 2, 3].map(() => swellingWoff(25, 60)), [413]),
    () =>
      sending(
        'sixty drawings that take long',
        `/api/v1/projects/${DEMO}/files?name=a.svg`,
        () => Array.from({ length: 60 }, (_, i) => slowDrawing(i + 1)),
        [201, 413, 422, 503],
      ),
    archives,
    patch,
    lock,
    flip,
  ];
  const found: Seen[] = [];
  for (const run of runs) {
    const one = await run();
    console.error(say(one));
    found.push(one);
  }
  return found;
}
