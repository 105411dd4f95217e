import { setImmediate } from 'node:timers/promises';
import { and, eq, inArray, lt } from 'drizzle-orm';
import PQueue, { type QueueAddOptions } from 'p-queue';
import { namesOfFiles } from '@/core/project/file-names';
import { jobResult } from '@/formats/api/jobs';
import { addressOf } from '@/formats/api/operation';
import { JobAsked, type Job } from '@/formats/job';
import { keepResult, openResult, removeResult } from '../blobs';
import { getDb, writing } from '../db/client';
import { jobs } from '../db/schema';
import type { TaskProgress } from '../progress';
import { FairQueue } from '../drawing/queue';
import { log } from '../log';
import { notFound, Problem, UNKNOWN_FAULT } from '../problem';
import { DAY_MS, loadProject, requireProject } from '../services/projects';
import { readableOf } from '../exports/made';
import { storeFault } from '../store-faults';
import { make } from './kinds';
import { shared } from '../process-wide';

type Row = typeof jobs.$inferSelect;

/** How a job ended. */
interface Ended {
  result?: { hash: string; name: string; bytes: number; mediaType: string; said?: string };
  problem?: { status: number; detail: string };
}

/** A job that waits or runs in this process. */
interface Live {
  abort: AbortController;
  progress: TaskProgress;
  /** who hears that something has changed */
  heard: Set<() => void>;
}

const makeQueue = () =>
  new PQueue<FairQueue, { project?: string } & QueueAddOptions>({ concurrency: 1, queueClass: FairQueue });
const here = shared('jobs', () => ({ queue: makeQueue(), live: new Map<string, Live>() }));

/** After which a further one is refused: of one project, waiting or running. */
const MOST_WAITING = 20;

const NOT_BEGUN: TaskProgress = { done: 0, of: 0, doing: 'waiting for its turn' };

const rowOf = (projectId: string, id: string): Row => {
  const row = getDb()
    .select()
    .from(jobs)
    .where(and(eq(jobs.projectId, projectId), eq(jobs.id, id)))
    .get();
  if (!row) throw new Problem(404, 'This job is not here. Jobs are kept for a day after their end.');
  return row;
};

function told({ id, projectId, asked, state, outcome }: Row): Job {
  const { kind } = JSON.parse(asked) as JobAsked;
  const { result, problem } = outcome ? (JSON.parse(outcome) as Ended) : {};
  const { hash: _, ...about } = result ?? { hash: '' };
  const href = addressOf(jobResult, { project: projectId, job: id });
  return {
    id,
    kind,
    state,
    progress: here().live.get(id)?.progress ?? NOT_BEGUN,
    ...(result && { result: { href, ...(about as Omit<NonNullable<Ended['result']>, 'hash'>) } }),
    ...(problem && { problem }),
  };
}

const tell = (id: string) =>
  here()
    .live.get(id)
    ?.heard.forEach((hear: () => void) => hear());

function setState(id: string, state: Row['state'], ended?: Ended): void {
  const end = ended && { outcome: JSON.stringify(ended), endedAt: new Date().toISOString() };
  writing((tx) =>
    tx
      .update(jobs)
      .set({ state, ...end })
      .where(eq(jobs.id, id))
      .run(),
  );
}

/** What a file that could not be read is to its project, to begin a sentence with; nothing where that is not known. */
function nameOfLost(projectId: string, hash: unknown): string {
  if (typeof hash !== 'string') return '';
  try {
    const [name] = namesOfFiles(loadProject(projectId).documents.project, [hash]);
    return name === undefined ? '' : `${name}: `;
  } catch (error) {
    // A project that is gone, or cannot be read, names nothing.
    if (error instanceof Problem) return '';
    throw error;
  }
}

/** What went wrong, as the caller may hear it. */
function problemOf(error: unknown, projectId: string): NonNullable<Ended['problem']> {
  const known = error instanceof Problem ? error : storeFault(error);
  if (known)
    return { status: known.status, detail: `${nameOfLost(projectId, known.more.lost)}${known.message}` };
  log.error(error);
  return { status: 500, detail: UNKNOWN_FAULT };
}

/** Runs one job to its end, whichever that is. */
async function run({ id, projectId, asked }: Row, live: Live): Promise<void> {
  const { signal } = live.abort;
  try {
    // Whoever asked is answered first.
    await setImmediate();
    if (signal.aborted) return;
    setState(id, 'running');
    live.progress = { done: 0, of: 0, doing: 'beginning' };
    tell(id);
    const onProgress = (progress: TaskProgress) => {
      live.progress = progress;
      tell(id);
    };
    const made = await make(JobAsked.parse(JSON.parse(asked)), { project: projectId, signal, onProgress });
    const { hash, bytes } = await keepResult(readableOf(made), signal);
    const { name, mediaType, said } = made;
    // What was called off in the last moment stays so.
    if (!signal.aborted) setState(id, 'done', { result: { hash, name, bytes, mediaType, said } });
  } catch (error) {
    if (!signal.aborted) setState(id, 'failed', { problem: problemOf(error, projectId) });
  } finally {
    tell(id);
    here().live.delete(id);
  }
}

/** Puts a job at the end of its project’s, which take turns with those of others. */
function enqueue(row: Row): void {
  const { queue, live } = here();
  const own: Live = { abort: new AbortController(), progress: NOT_BEGUN, heard: new Set() };
  live.set(row.id, own);
  queue
    .add(() => run(row, own), { project: row.projectId })
    .catch((error: unknown) => log.error(error, 'A job could not be ended.'));
}

/** Takes on a job. @throws Problem 404 without such a project, 429 when too many of it wait */
export function startJob(projectId: string, asked: JobAsked): Job {
  requireProject(projectId);
  const unfinished = getDb()
    .select({ id: jobs.id })
    .from(jobs)
    .where(and(eq(jobs.projectId, projectId), inArray(jobs.state, ['waiting', 'running'])))
    .all().length;
  if (unfinished >= MOST_WAITING)
    throw new Problem(
      429,
      `${unfinished} jobs of this project are not through yet. Call one off, or ask again later.`,
      { retryAfter: 10 },
    );
  const row: Row = {
    id: crypto.randomUUID(),
    projectId,
    asked: JSON.stringify(asked),
    state: 'waiting',
    outcome: null,
    createdAt: new Date().toISOString(),
    endedAt: null,
  };
  writing((tx) => tx.insert(jobs).values(row).run());
  enqueue(row);
  return told(row);
}

/** How a job stands. @throws Problem 404 */
export const jobOf = (projectId: string, id: string): Job => told(rowOf(projectId, id));

/** Calls a job off, down to the process that does it; one that is over stays as it is. @throws Problem 404 */
export function callOff(projectId: string, id: string): Job {
  const { state } = rowOf(projectId, id);
  if (state === 'waiting' || state === 'running') {
    setState(id, 'called-off', {});
    here().live.get(id)?.abort.abort();
    tell(id);
  }
  return jobOf(projectId, id);
}

/** What a job has made, and the way to read it bit by bit. @throws Problem 404 when there is none, 410 when it was kept long enough */
export function resultOf(projectId: string, id: string) {
  const { outcome } = rowOf(projectId, id);
  const { result } = outcome ? (JSON.parse(outcome) as Ended) : {};
  if (!result) throw notFound('The result of this job');
  const open = async () => {
    const content = await openResult(result.hash);
    if (content) return content;
    throw new Problem(410, 'The result of this job has gone: it is kept for a day. Ask for it again.');
  };
  return { ...result, open };
}

/** Calls whenever a job goes on or ends. @returns a function that ends it */
export function hearJob(id: string, hear: () => void): () => void {
  const live = here().live.get(id);
  live?.heard.add(hear);
  return () => void live?.heard.delete(hear);
}

/** After a start: what waited waits again, and what ran begins anew. */
export function resumeJobs(): void {
  const unfinished = getDb()
    .select()
    .from(jobs)
    .where(inArray(jobs.state, ['waiting', 'running']))
    .orderBy(jobs.createdAt)
    .all();
  for (const row of unfinished) {
    if (row.state === 'running') setState(row.id, 'waiting');
    enqueue({ ...row, state: 'waiting' });
  }
}

/** Puts away jobs that ended over a day ago, with what they made. */
export async function sweepJobs(now = Date.now()): Promise<void> {
  const old = getDb()
    .select()
    .from(jobs)
    .where(lt(jobs.endedAt, new Date(now - DAY_MS).toISOString()))
    .all();
  if (old.length === 0) return;
  writing((tx) => {
    for (const { id } of old) tx.delete(jobs).where(eq(jobs.id, id)).run();
  });
  const kept = new Set(getDb().select({ outcome: jobs.outcome }).from(jobs).all().map(hashIn));
  for (const hash of old.map(hashIn)) if (hash && !kept.has(hash)) await removeResult(hash);
}

const hashIn = ({ outcome }: Pick<Row, 'outcome'>): string | undefined =>
  outcome ? (JSON.parse(outcome) as Ended).result?.hash : undefined;
