import type { Documents } from '../src/core/project/documents';
import { setTimeout as pause } from 'node:timers/promises';
import { changeBetween, type Change } from '../src/core/patch/change';
import { isOver, Job } from '../src/formats/job';

/** A request as a page of the server itself would send it. @throws when there is no answer */
export const ask = (address: string, method: string, route: string, body?: unknown, headers = {}) =>
  fetch(`${address}${route}`, {
    method,
    headers: {
      origin: address,
      ...(body === undefined || body instanceof Uint8Array ? {} : { 'content-type': 'application/json' }),
      ...headers,
    },
    body: body === undefined ? undefined : body instanceof Uint8Array ? body.slice() : JSON.stringify(body),
  });

export interface Stored {
  revision: number;
  documents: Documents;
}

export async function read(address: string, id: string): Promise<Stored> {
  return (await (await ask(address, 'GET', `/api/v1/projects/${id}`)).json()) as Stored;
}

/** Sends a change of a project as it was at a revision. @returns the HTTP status, and what was said of it */
export async function save(
  address: string,
  { id, revision }: { id: string; revision: number },
  change: Change | null,
): Promise<{ status: number; said: string }> {
  const headers = { 'if-match': `"${revision}"` };
  const answer = await ask(address, 'PATCH', `/api/v1/projects/${id}`, change, headers);
  return { status: answer.status, said: await answer.text() };
}

/** A copy of the demo project. @returns its id */
export async function copyDemo(address: string): Promise<string> {
  const made = await ask(address, 'POST', '/api/v1/projects/larkmoor-ferries/copies');
  return ((await made.json()) as { id: string }).id;
}

/** One who changes a project over and over, and knows what was acknowledged. */
export interface Editor {
  id: string;
  /** as it was last heard of */
  stored: Stored;
  acknowledged: number;
  tried: number;
  /** the name that was sent last, acknowledged or not */
  sent: string;
}

export async function editor(address: string): Promise<Editor> {
  const id = await copyDemo(address);
  return { id, stored: await read(address, id), acknowledged: 0, tried: 0, sent: '' };
}

/** Changes the project by one step. @returns the HTTP status */
export async function edit(address: string, who: Editor): Promise<number> {
  const { documents, revision } = who.stored;
  who.sent = `Name ${++who.tried}`;
  const after = { ...documents, project: { ...documents.project, name: who.sent } };
  const change = changeBetween(crypto.randomUUID(), documents, after);
  const { status } = await save(address, { id: who.id, revision }, change);
  if (status === 200) {
    who.acknowledged++;
    who.stored = { revision: revision + 1, documents: after };
  }
  return status;
}

/** What became of what was acknowledged. @returns how many changes are lost */
export function lostOf(who: Editor, now: Stored): number {
  const known = [who.stored.documents.project.name, who.sent];
  const isThere = now.revision >= who.stored.revision && known.includes(now.documents.project.name);
  return isThere ? 0 : Math.max(1, who.stored.revision - now.revision);
}

const jobsOf = (id: string) => `/api/v1/projects/${id}/jobs`;

/** The end of a job, whenever that is. */
export async function ended(address: string, id: string, job: Pick<Job, 'id'>): Promise<Job> {
  for (;;) {
    const now = Job.parse(await (await ask(address, 'GET', `${jobsOf(id)}/${job.id}`)).json());
    if (isOver(now)) return now;
    await pause(50);
  }
}

/** Asks for the archive of a project. @returns the job that makes it */
export async function archiving(address: string, id: string): Promise<Job> {
  const asked = await ask(address, 'POST', jobsOf(id), { kind: 'export', options: { as: 'archive' } });
  return Job.parse(await asked.json());
}

/** What became of the archive of a project, once it is over. */
export const archived = async (address: string, id: string): Promise<Job> =>
  ended(address, id, await archiving(address, id));

/** What a job has made. */
export const made = async (address: string, id: string, job: Pick<Job, 'id'>): Promise<Uint8Array> =>
  new Uint8Array(await (await ask(address, 'GET', `${jobsOf(id)}/${job.id}/result`)).arrayBuffer());
