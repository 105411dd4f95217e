import { readdirSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { randomOf } from '../truth/random';
import { copyDemo, edit, editor, lostOf, read, type Editor } from './client';
import { seen, type Seen } from './report';
import { samplesOf, sendings, sendUntilGone, type Sending } from './sent';
import { newStore, prepare, readyStore, removeStore, serve, type Served } from './server';

const EDITORS = 4;
const AFTER_MS = { least: 100, most: 20_000 };

async function editing(address: string, who: Editor): Promise<void> {
  // As fast as somebody types, so that there is room for everything else.
  while ((await edit(address, who).catch(() => 0)) === 200) await pause(80);
}

/** What became of what was acknowledged before the kills. */
interface Tally {
  changes: number;
  lost: number;
  unreadable: number;
  /** of each kind of thing that is sent: how many were acknowledged, and how many of them are gone */
  sent: { what: string; kept: number; gone: number }[];
}

/** Reads what everybody has after a kill, and goes on from it. */
async function readAgain(address: string, editors: readonly Editor[], tally: Tally): Promise<void> {
  for (const who of editors) {
    const now = await read(address, who.id).catch(() => null);
    tally.lost += now ? lostOf(who, now) : 1;
    if (now) who.stored = now;
    else tally.unreadable++;
  }
}

const acknowledged = (editors: readonly Editor[]) => editors.reduce((n, e) => n + e.acknowledged, 0);

/** One life of a server: everything is sent to it at once until it is killed, and looked for in the next one. */
async function life(
  { address, child }: Served,
  {
    editors,
    id,
    all,
    tally,
  }: { editors: readonly Editor[]; id: string; all: readonly Sending[]; tally: Tally },
  { random, again }: { random: () => number; again: () => Promise<Served> },
): Promise<Served> {
  const before = acknowledged(editors);
  const edits = editors.map((e) => editing(address, e));
  const sent = all.map((one) => sendUntilGone(one, address, id, random));
  setTimeout(() => child.kill('SIGKILL'), AFTER_MS.least + random() * (AFTER_MS.most - AFTER_MS.least));
  const kept = await Promise.all(sent);
  await Promise.all(edits);
  const served = await again();
  await readAgain(served.address, editors, tally);
  for (const [n, one] of all.entries()) {
    const isKept = await Promise.all(
      kept[n]!.map((k) => one.isKept(served.address, id, k).catch(() => false)),
    );
    tally.sent[n]!.kept += isKept.length;
    tally.sent[n]!.gone += isKept.filter((is) => !is).length;
  }
  tally.changes += acknowledged(editors) - before;
  return served;
}

function report(
  { changes, lost, unreadable, sent }: Tally,
  rounds: number,
  parts: readonly string[],
): Seen[] {
  return [
    seen(
      'a change that was acknowledged survives a kill',
      lost === 0,
      `${lost} lost of ${changes}, ${rounds} kills`,
    ),
    ...sent.map(({ what, kept, gone }) =>
      seen(`${what} that was acknowledged survives a kill`, gone === 0, `${gone} gone of ${kept}`),
    ),
    seen(
      'every project can be read after a kill',
      unreadable === 0,
      `${unreadable} of ${rounds * EDITORS} could not`,
    ),
    seen(
      'nothing half-written is left behind',
      parts.length === 0,
      `${parts.length} files ${parts.slice(0, 3).join(', ')}`,
    ),
  ];
}

/**
 * Kills a server at a random moment, over and over, while changes, pictures, archives, screenshots and jobs are sent to it.
 */
export async function kill(seed: number, rounds: number): Promise<Seen[]> {
  const random = randomOf(seed).next;
  const store = newStore();
  const again = () => {
    prepare(store);
    return serve(store);
  };
  try {
    readyStore(store);
    let served = await serve(store);
    const editors = await Promise.all(Array.from({ length: EDITORS }, () => editor(served.address)));
    const id = await copyDemo(served.address);
    const all = sendings(await samplesOf(served.address, id));
    const tally: Tally = {
      changes: 0,
      lost: 0,
      unreadable: 0,
      sent: all.map(({ what }) => ({ what, kept: 0, gone: 0 })),
    };
    for (let round = 0; round < rounds; round++)
      served = await life(served, { editors, id, all, tally }, { random, again });
    await served.stop();
    prepare(store);
    const parts = readdirSync(store, { recursive: true, encoding: 'utf8' }).filter((f) =>
      f.endsWith('.part'),
    );
    return report(tally, rounds, parts);
  } finally {
    removeStore(store);
  }
}
