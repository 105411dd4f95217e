import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { eq } from 'drizzle-orm';
import type { JobAsked } from '@/formats/job';
import { isOver } from '@/formats/job';
import { Review } from '@/core/review/schema';
import { getDb } from '../db/client';
import { jobs } from '../db/schema';
import { DAY_MS, loadProject } from '../services/projects';
import { storeFolder } from '../settings';
import { ownStore } from '../testing/store';
import { callOff, hearJob, jobOf, resultOf, resumeJobs, startJob, sweepJobs } from './jobs';

const store = ownStore('the demo');
const PROJECT = 'larkmoor-ferries';
const review: JobAsked = { kind: 'review', options: { as: 'json' } };
const film = (more: object = {}): JobAsked => ({
  kind: 'film',
  options: {
    launch: 'launch',
    case: 'phone-393x852-3x-pill.0.light',
    start: 'cold',
    as: 'png',
    scale: 0.2,
    ...more,
  },
});

/** Waits for the end of a job. @returns it, and every state that it was seen in */
async function ended(id: string) {
  const seen: string[] = [];
  for (;;) {
    const job = jobOf(PROJECT, id);
    if (seen.at(-1) !== job.state) seen.push(job.state);
    if (isOver(job)) return { job, seen };
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

const rowOf = (id: string) => getDb().select().from(jobs).where(eq(jobs.id, id)).get()!;

describe('a job', () => {
  it('waits, runs, says how far it is, and leaves a file', async () => {
    const begun = startJob(PROJECT, review);
    expect(begun).toMatchObject({
      kind: 'review',
      state: 'waiting',
      progress: { doing: 'waiting for its turn' },
    });
    const told: number[] = [];
    hearJob(begun.id, () => told.push(jobOf(PROJECT, begun.id).progress.done));
    const { job, seen } = await ended(begun.id);
    expect(seen.at(-1)).toBe('done');
    expect(Math.max(...told)).toBeGreaterThan(100);
    const { open, name, mediaType } = resultOf(PROJECT, begun.id);
    const bytes = await buffer(await open());
    expect([name, mediaType]).toEqual(['larkmoor-ferries-review.json', 'application/json']);
    expect(job.result).toMatchObject({ bytes: bytes.length });
    expect(Review.parse(JSON.parse(bytes.toString('utf8'))).scenes).toHaveLength(5);
  });

  it('that is one after another has its turn when the one before is over', async () => {
    const all = [film(), film({ as: 'webp' }), film()].map((asked) => startJob(PROJECT, asked).id);
    const states = () => all.map((id) => jobOf(PROJECT, id).state);
    const running: number[] = [];
    while (states().some((s) => s === 'waiting' || s === 'running')) {
      running.push(states().filter((s) => s === 'running').length);
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
    expect(Math.max(...running)).toBe(1);
    expect(states()).toEqual(['done', 'done', 'done']);
  });

  it('is called off while it waits and while it runs, and stays so', async () => {
    const [first, second] = [startJob(PROJECT, review), startJob(PROJECT, film())];
    expect(callOff(PROJECT, second.id).state).toBe('called-off');
    await new Promise<void>((resolve) => {
      const end = hearJob(first.id, () => {
        if (jobOf(PROJECT, first.id).progress.done === 0) return;
        end();
        resolve();
      });
    });
    expect(callOff(PROJECT, first.id).state).toBe('called-off');
    expect((await ended(startJob(PROJECT, film()).id)).job.state).toBe('done');
    for (const { id } of [first, second]) {
      expect(jobOf(PROJECT, id)).toMatchObject({ state: 'called-off' });
      expect(() => resultOf(PROJECT, id)).toThrow(expect.objectContaining({ status: 404 }));
      expect(callOff(PROJECT, id).state).toBe('called-off');
    }
  });

  it('that cannot be done says why, in words', async () => {
    for (const [asked, title] of [
      [film({ launch: 'none' }), 'This launch is not here'],
      [film({ case: 'none.0.light' }), 'This case is not here'],
      [film({ scale: 16 }), 'out of range'],
    ] as const) {
      const { job } = await ended(startJob(PROJECT, asked).id);
      expect(job.state).toBe('failed');
      expect(job.problem!.detail).toContain(title);
    }
    expect(() => startJob('none', review)).toThrow('This project is not here');
    expect(() => jobOf(PROJECT, 'none')).toThrow('This job is not here');
  });

  it('is not done over a picture whose bytes the disk has changed, and names it', async () => {
    const picture = loadProject(PROJECT).documents.project.pictures[0]!;
    const { hash, appearance, density } = picture.cuts[0]!.renditions[0]!;
    const file = path.join(storeFolder(), 'pictures', hash.slice(0, 2), hash);
    const whole = readFileSync(file);
    const spoilt = Buffer.from(whole);
    spoilt.writeUInt8(spoilt.readUInt8(spoilt.length >> 1) ^ 1, spoilt.length >> 1);
    writeFileSync(file, spoilt);
    for (const as of ['archive', 'files'] as const) {
      const { job } = await ended(startJob(PROJECT, { kind: 'export', options: { as } } as JobAsked).id);
      expect(job).toMatchObject({ state: 'failed', problem: { status: 410 } });
      expect(job.problem!.detail).toMatch(
        `${picture.name} (${appearance}, ${density}×): The bytes of the file`,
      );
    }
    writeFileSync(file, whole);
  });

  it('that ran when the server ended is begun again, and one that was over is not', async () => {
    const { job } = await ended(startJob(PROJECT, film()).id);
    const ran = {
      ...rowOf(job.id),
      id: crypto.randomUUID(),
      state: 'running' as const,
      outcome: null,
      endedAt: null,
    };
    getDb().insert(jobs).values(ran).run();
    const before = getDb().select().from(jobs).all().length;
    resumeJobs();
    const again = await ended(ran.id);
    expect(again.seen).toEqual(['waiting', 'running', 'done'].slice(-again.seen.length));
    expect(again.job).toMatchObject({ state: 'done', result: { name: job.result!.name } });
    expect(getDb().select().from(jobs).all()).toHaveLength(before);
  });

  it('is forgotten a day after its end, with its file, unless another one made the same', async () => {
    const ids = [film(), film(), film({ scale: 0.1 })].map((asked) => startJob(PROJECT, asked).id);
    for (const id of ids) await ended(id);
    const hashes = ids.map((id) => resultOf(PROJECT, id).hash);
    const old = new Date(Date.now() - DAY_MS - 1000).toISOString();
    for (const id of [ids[0]!, ids[2]!])
      getDb().update(jobs).set({ endedAt: old }).where(eq(jobs.id, id)).run();
    await sweepJobs();
    expect(() => jobOf(PROJECT, ids[0]!)).toThrow('This job is not here');
    expect(resultOf(PROJECT, ids[1]!).hash).toBe(hashes[0]);
    expect(store.files()).toContain(hashes[0]);
    expect(store.files()).not.toContain(hashes[2]);
    await sweepJobs(Date.now() + 2 * DAY_MS);
    expect(store.files().some((f) => hashes.includes(f))).toBe(false);
  });

  it('is refused when too many of its project wait', async () => {
    const begun: string[] = [];
    expect(() => {
      for (let i = 0; i < 30; i++) begun.push(startJob(PROJECT, review).id);
    }).toThrow('jobs of this project are not through yet');
    for (const id of begun) callOff(PROJECT, id);
    expect(begun).toHaveLength(20);
    expect((await ended(startJob(PROJECT, film()).id)).job.state).toBe('done');
  });
});
