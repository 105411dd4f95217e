import { readdirSync } from 'node:fs';
import sharp from 'sharp';
import { ask, edit, editor, lostOf, read, type Editor } from './client';
import { seen, type Seen } from './report';
import { randomOf } from '../truth/random';
import { newStore, prepare, readyStore, removeStore, serve } from './server';

const EDITORS = 4;
const AFTER_MS = { least: 100, most: 3000 };

/** Sends pictures one after another until the server is gone. @returns the hashes of those that were acknowledged */
async function importing(address: string, id: string, random: () => number): Promise<string[]> {
  const kept: string[] = [];
  for (;;) {
    const background = { r: random() * 255, g: random() * 255, b: random() * 255 };
    const size = { width: 200 + Math.floor(random() * 300), height: 150 };
    const png = await sharp({ create: { ...size, channels: 3, background } })
      .png()
      .toBuffer();
    const answer = await ask(address, 'POST', `/api/v1/projects/${id}/files?name=a.png`, png).catch(
      () => null,
    );
    const body =
      answer?.status === 201 && ((await answer.json().catch(() => null)) as { hash: string } | null);
    if (!body) return kept;
    kept.push(body.hash);
  }
}

async function editing(address: string, who: Editor): Promise<void> {
  while ((await edit(address, who).catch(() => 0)) === 200);
}

/** Kills a server at a random moment, over and over, while changes and pictures are sent to it. */
export async function kill(seed: number, rounds: number): Promise<Seen[]> {
  const random = randomOf(seed).next;
  const store = newStore();
  let [acknowledged, lost, imported, gone, unreadable] = [0, 0, 0, 0, 0];
  try {
    readyStore(store);
    let served = await serve(store);
    const editors = await Promise.all(Array.from({ length: EDITORS }, () => editor(served.address)));
    for (let round = 0; round < rounds; round++) {
      const before = editors.reduce((n, e) => n + e.acknowledged, 0);
      const { address, child } = served;
      const work = [
        importing(address, editors[0]!.id, random),
        ...editors.map((e) => editing(address, e)),
      ] as const;
      setTimeout(() => child.kill('SIGKILL'), AFTER_MS.least + random() * (AFTER_MS.most - AFTER_MS.least));
      const [kept] = await Promise.all(work);
      prepare(store);
      served = await serve(store);
      for (const who of editors) {
        const now = await read(served.address, who.id).catch(() => null);
        if (!now) unreadable++;
        lost += now ? lostOf(who, now) : 1;
        if (now) who.stored = now;
      }
      for (const hash of kept) {
        const preview = await ask(served.address, 'GET', `/api/v1/pictures/${hash}/64`);
        if (preview.status !== 200) gone++;
      }
      imported += kept.length;
      acknowledged += editors.reduce((n, e) => n + e.acknowledged, 0) - before;
    }
    await served.stop();
    prepare(store);
    const parts = readdirSync(store, { recursive: true })
      .map(String)
      .filter((f) => f.endsWith('.part'));
    return [
      seen(
        'a change that was acknowledged survives a kill',
        lost === 0,
        `${lost} lost of ${acknowledged}, ${rounds} kills`,
      ),
      seen('a picture that was acknowledged survives a kill', gone === 0, `${gone} lost of ${imported}`),
      seen(
        'every project can be read after a kill',
        unreadable === 0,
        `${unreadable} of ${rounds * EDITORS} could not`,
      ),
      seen('nothing half-written is left behind', parts.length === 0, `${parts.length} files`),
    ];
  } finally {
    removeStore(store);
  }
}
