import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import path from 'node:path';
import Database from 'better-sqlite3';
import { archived, ask, edit, editor, read } from './client';
import { fill, mount, mountSmall, unmount } from './disk';
import { seen, type Seen } from './report';
import { newStore, prepare, readyStore, removeStore, serve, withServer } from './server';

/** Bytes that are too few for an archive of the demo. */
const HALF_AN_ARCHIVE = 700 * 1024;

const titleOf = async (answer: Response) => ((await answer.json()) as { detail?: string }).detail ?? '';

/** A change that is asked for while something is wrong: the status and the words. */
async function attempt(address: string, name: string): Promise<{ status: number; title: string }> {
  const answer = await ask(address, 'POST', '/api/v1/projects', { name });
  return { status: answer.status, title: answer.ok ? '' : await titleOf(answer) };
}

const moved = () =>
  withServer(async ({ address }, store) => {
    const elsewhere = `${store}-elsewhere`;
    renameSync(store, elsewhere);
    const away = await attempt(address, 'Away');
    const folder = existsSync(store);
    renameSync(elsewhere, store);
    const back = await attempt(address, 'Back');
    const kept = away.status === 503 && /moved or deleted/.test(away.title) && !folder && back.status === 201;
    return seen(
      'a store that was moved is not written to, and is when it is back',
      kept,
      `${away.status} “${away.title}”, then ${back.status}`,
    );
  });

const taken = () =>
  withServer(async ({ address }, store) => {
    const second = prepare(store);
    const kept = !second.ok && second.said.includes(address) && !/\n\s+at /.test(second.said);
    return seen('a second server on the same folder is told who holds it', kept, second.said.trim());
  });

const locked = () =>
  withServer(async ({ address }, store) => {
    const other = new Database(path.join(store, 'coulee.db'));
    other.exec('BEGIN IMMEDIATE');
    const meanwhile = attempt(address, 'Locked');
    const { status, title } = await meanwhile;
    other.exec('ROLLBACK');
    other.close();
    const after = await attempt(address, 'Free');
    const kept = status === 503 && /locked by another program/.test(title) && after.status === 201;
    return seen(
      'a store that is locked says so, and is used when it is free',
      kept,
      `${status} “${title}”, then ${after.status}`,
    );
  });

const lostFile = () =>
  withServer(async ({ address }, store) => {
    const { documents } = await read(address, 'larkmoor-ferries');
    const hash = documents.project.pictures[0]!.cuts[0]!.renditions[0]!.hash;
    rmSync(path.join(store, 'pictures', hash.slice(0, 2), hash));
    const { lost } = (await (
      await ask(address, 'GET', '/api/v1/projects/larkmoor-ferries/lost-files')
    ).json()) as {
      lost: string[];
    };
    const page = await ask(address, 'GET', '/projects/larkmoor-ferries');
    return seen(
      'a lost file is named',
      lost.includes(hash) && page.status === 200,
      `${lost.length} named, page ${page.status}`,
    );
  });

/** A disk that has room for the half of an archive. */
async function halfAnArchive(address: string, store: string, id: string): Promise<Seen> {
  const free = fill(store, HALF_AN_ARCHIVE);
  const refused = await archived(address, id);
  const left = readdirSync(path.join(store, 'results'), { recursive: true, encoding: 'utf8' });
  const parts = left.filter((f) => f.endsWith('.part'));
  free();
  const done = await archived(address, id);
  const { status, detail = '' } = refused.problem ?? {};
  return seen(
    'a disk that fills up in the middle of an archive: it is said, and nothing of it is left',
    refused.state === 'failed' &&
      status === 507 &&
      /full/.test(detail) &&
      parts.length === 0 &&
      done.state === 'done',
    `${refused.state}, ${status} “${detail}”, left ${parts.length}; with room ${done.state}`,
  );
}

/** On a small disk of its own: full, and not writable. Only where one may mount. */
async function smallDisk(): Promise<Seen[]> {
  const store = newStore();
  if (!mountSmall(store, '24m')) {
    removeStore(store);
    return [seen('a full disk', true, 'not tried: nothing can be mounted here')];
  }
  try {
    readyStore(store);
    const served = await serve(store);
    const who = await editor(served.address);
    const free = fill(store);
    let status = 200;
    for (let i = 0; i < 200 && status === 200; i++) status = await edit(served.address, who);
    const refused = await attempt(served.address, 'Full');
    const start = await ask(served.address, 'GET', '/');
    const atFull = who.stored.revision;
    free();
    const again = await edit(served.address, who);
    const now = await read(served.address, who.id);
    const half = await halfAnArchive(served.address, store, who.id);
    await served.stop();
    const isReadOnly = mount('-o', 'remount,ro', store);
    const start2 = prepare(store);
    mount('-o', 'remount,rw', store);
    return [
      half,
      seen(
        'a full disk is said, and reading goes on',
        refused.status === 507 && /full/.test(refused.title) && start.status === 200,
        `${status}, ${refused.status} “${refused.title}”, page ${start.status}`,
      ),
      seen(
        'saving goes on when there is room again',
        again === 200 && now.revision === atFull + 1,
        `${again}, revision ${now.revision} of ${atFull + 1}`,
      ),
      seen(
        'a start on a disk that cannot be written to says so without a stack',
        isReadOnly && !start2.ok && /cannot be written/.test(start2.said) && !/\n\s+at /.test(start2.said),
        start2.said.trim(),
      ),
    ];
  } finally {
    unmount(store);
    removeStore(store);
  }
}

/** A start on something that is no store. */
async function noStore(): Promise<Seen> {
  const store = newStore();
  try {
    mkdirSync(path.join(store, 'coulee.db'));
    const { ok, said } = prepare(store);
    return seen(
      'a start on something that is no store says so without a stack',
      !ok && !/\n\s+at /.test(said),
      said.trim(),
    );
  } finally {
    removeStore(store);
  }
}

/** Everything that can be wrong with a store while it is used. */
export async function faults(): Promise<Seen[]> {
  return [
    await moved(),
    await taken(),
    await locked(),
    await lostFile(),
    await noStore(),
    ...(await smallDisk()),
  ];
}
