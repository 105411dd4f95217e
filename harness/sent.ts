import { setTimeout as pause } from 'node:timers/promises';
import sharp from 'sharp';
import { changeBetween } from '../src/core/patch/change';
import { Evidence } from '../src/core/project/proof';
import { archived, archiving, ask, ended, made, read, save } from './client';
import { plainPng } from './files';

const SCREEN = 'phone-375x667-2x-home.0.light';
const SCENE = 'winter-splash';

/** Something that is sent over and over until the server is gone. */
export interface Sending {
  what: string;
  /** sends one; what it became is known once it is acknowledged; throws when nobody answers */
  send: (address: string, id: string, random: () => number) => Promise<string | null>;
  /** whether what was acknowledged is there, whole */
  isKept: (address: string, id: string, kept: string) => Promise<boolean>;
}

const statusOf = async (answer: Promise<Response>): Promise<number> => {
  const { status, body } = await answer;
  await body?.cancel();
  return status;
};

/** A scene on a screen, at its px and without what lies over it. */
const drawn = (address: string, id: string, scene: string) =>
  ask(address, 'GET', `/api/v1/projects/${id}/scenes/${scene}/cases/${SCREEN}?glass=0`);

const pictures: Sending = {
  what: 'a picture',
  send: async (address, id, random) => {
    const answer = await ask(
      address,
      'POST',
      `/api/v1/projects/${id}/files?name=a.png`,
      await plainPng({ width: 200 + Math.floor(random() * 300), height: 150 }, random),
    );
    return answer.status === 201 ? ((await answer.json()) as { hash: string }).hash : null;
  },
  isKept: async (address, _, hash) =>
    (await statusOf(ask(address, 'GET', `/api/v1/pictures/${hash}/64`))) === 200,
};

/** An archive of the demo and the case that screenshots are made of, taken once. */
export interface Samples {
  archive: Uint8Array;
  shot: Uint8Array;
}

export async function samplesOf(address: string, id: string): Promise<Samples> {
  const archive = await made(address, id, await archived(address, id));
  return { archive, shot: new Uint8Array(await (await drawn(address, id, SCENE)).arrayBuffer()) };
}

const archives = ({ archive }: Samples): Sending => ({
  what: 'an archive',
  send: async (address) => {
    const answer = await ask(address, 'POST', '/api/v1/archives?name=a.zip', archive);
    return answer.ok ? ((await answer.json()) as { id: string }).id : null;
  },
  isKept: async (address, _, id) => {
    // Beside the project that it was taken from everything has an id of its own.
    const { documents } = await read(address, id);
    const scene = documents.project.scenes[0]!;
    const lost = await ask(address, 'GET', `/api/v1/projects/${id}/lost-files`);
    const isWhole = lost.ok && ((await lost.json()) as { lost: string[] }).lost.length === 0;
    return isWhole && (await drawn(address, id, scene)).ok;
  },
});

/** Puts evidence into the project; another change that came first is taken in. @returns whether it was acknowledged */
async function keepEvidence(address: string, id: string, evidence: Evidence): Promise<boolean> {
  for (;;) {
    const { documents, revision } = await read(address, id);
    const kept = [...(documents.project.evidence ?? []), evidence];
    const after = { ...documents, project: { ...documents.project, evidence: kept } };
    const change = changeBetween(crypto.randomUUID(), documents, after);
    const { status } = await save(address, { id, revision }, change);
    if (status === 200) return true;
    if (status !== 412) return false;
  }
}

const screenshots = ({ shot }: Samples): Sending => ({
  what: 'a screenshot',
  send: async (address, id, random) => {
    // Another file each time, though it shows the same.
    const png = await sharp(shot)
      .png({ compressionLevel: 1 })
      .withExif({ IFD0: { ImageDescription: String(random()) } })
      .toBuffer();
    const route = `/api/v1/projects/${id}/scenes/${SCENE}/cases/${SCREEN}/screenshots?name=a.png`;
    const answer = await ask(address, 'POST', route, png);
    if (answer.status !== 201) return null;
    const evidence = Evidence.parse(await answer.json());
    return (await keepEvidence(address, id, evidence)) ? evidence.id : null;
  },
  isKept: async (address, id, evidence) =>
    (await statusOf(ask(address, 'GET', `/api/v1/projects/${id}/screenshots/${evidence}/difference`))) ===
    200,
});

/** Archives that are made: one that was taken on is done in the end, by whichever server. */
const exports: Sending = {
  what: 'a job',
  send: async (address, id) => {
    const job = await archiving(address, id);
    // Whoever asks for one waits for it before he asks for the next; what was taken on counts also when the server is gone.
    await ended(address, id, job).catch(() => null);
    return job.id;
  },
  isKept: async (address, id, job) => (await ended(address, id, { id: job })).state === 'done',
};

export const sendings = (samples: Samples): Sending[] => [
  pictures,
  archives(samples),
  screenshots(samples),
  exports,
];

/** Sends one after another until the server is gone. @returns what was acknowledged */
export async function sendUntilGone(
  { send }: Sending,
  address: string,
  id: string,
  random: () => number,
): Promise<string[]> {
  const kept: string[] = [];
  for (;;) {
    try {
      const one = await send(address, id, random);
      if (one !== null) kept.push(one);
    } catch {
      return kept;
    }
    await pause(20 + random() * 200);
  }
}
