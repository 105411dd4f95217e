import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { NewerSchema } from '@/core/project/migrate';
import { allFindings, foundCounts } from '@/core/review/counts';
import {
  openSignOff,
  sealed,
  SignOffFault,
  type KeptSignOff,
  type SignOff,
  type SignOffAsked,
  type SignOffSummary,
} from '@/core/review/sign-off';
import { PRODUCT_VERSION } from '@/core/review/version';
import { hashesOf } from '@/formats/folder';
import { isIntact } from '../blobs';
import { screensOf } from '../catalogue';
import { isDamaged } from '../damage';
import { getDb, writing } from '../db/client';
import { signOffs } from '../db/schema';
import type { For } from '../drawing/drawn';
import { describe, notFound, Problem } from '../problem';
import { keptSignOffs, lastSignedOff } from './kept-sign-offs';
import { requireProject } from './projects';
import { reviewed, toReview } from './review';

/** What is wrong with a sign-off, in words; `null` for a fault that is not its own. */
function faultOf(error: unknown): string | null {
  if (error instanceof SignOffFault || error instanceof NewerSchema) return error.message;
  return error instanceof z.ZodError ? `Its documents cannot be read: ${describe(error)}` : null;
}

/** Files of a sign-off whose bytes are not those that were signed. */
async function brokenFiles({ documents }: SignOff): Promise<string[]> {
  const broken: string[] = [];
  for (const hash of hashesOf(documents)) if (!(await isIntact(hash))) broken.push(hash);
  return broken;
}

const summaryOf = ({ id, by, why, revision, at, version, digest, review }: SignOff): SignOffSummary => ({
  id,
  by,
  why,
  revision,
  at,
  version,
  digest,
  found: review && foundCounts(allFindings(review)),
});

/** One of a list: what it says, or why it cannot be trusted. */
export type ListedSignOff = { id: string } & ({ signOff: SignOffSummary } | { fault: string });

/** What is wrong with a sign-off that lies under the id of another one; `null` where nothing is. */
const otherOne = (signOff: SignOff, id: string): string | null =>
  signOff.id === id
    ? null
    : `This sign-off is another one than the store says: it was signed as ${signOff.id}.`;

const sayBroken = (hashes: readonly string[]) =>
  `Files of this sign-off are not those that were signed: ${hashes.map((h) => h.slice(0, 12)).join(', ')}. Import them again: they are then put back.`;

/** What is known to be wrong with the files of a sign-off, without reading them. */
function knownBroken({ documents }: SignOff): string | null {
  const broken = hashesOf(documents).filter(isDamaged);
  return broken.length === 0 ? null : sayBroken(broken);
}

/** The sign-offs of a project, the latest first; each is held against its seal and its id. @throws Problem 404 */
export function listSignOffs(projectId: string): ListedSignOff[] {
  requireProject(projectId);
  const listed: ListedSignOff[] = [];
  for (const { id, text } of keptSignOffs(projectId).toReversed()) {
    try {
      const signOff = openSignOff(text);
      const fault = otherOne(signOff, id) ?? knownBroken(signOff);
      listed.push(fault === null ? { id, signOff: summaryOf(signOff) } : { id, fault });
    } catch (error) {
      const fault = faultOf(error);
      if (fault === null) throw error;
      listed.push({ id, fault });
    }
  }
  return listed;
}

const find = (projectId: string, id: string) =>
  getDb()
    .select({ text: signOffs.body })
    .from(signOffs)
    .where(and(eq(signOffs.projectId, projectId), eq(signOffs.id, id)))
    .get();

/** A sign-off as it is stored. @throws Problem 404 */
export function signOffText(projectId: string, id: string): string {
  const found = find(projectId, id);
  if (!found) throw notFound('This sign-off');
  return found.text;
}

/**
 * A sign-off, held against its seal, with every byte of its files.
 * @throws Problem 404; 409 that names what is not as it was signed
 */
export async function loadSignOff(projectId: string, id: string): Promise<SignOff> {
  requireProject(projectId);
  let signOff: SignOff;
  try {
    signOff = openSignOff(signOffText(projectId, id));
  } catch (error) {
    const fault = faultOf(error);
    throw fault === null ? error : new Problem(409, fault);
  }
  const other = otherOne(signOff, id);
  if (other !== null) throw new Problem(409, other);
  const broken = await brokenFiles(signOff);
  if (broken.length > 0) throw new Problem(409, sayBroken(broken));
  return signOff;
}

/** The last sign-off of a project; `null` where there is none. @throws Problem 409 for one that is not as it was signed */
export async function lastSignOff(projectId: string): Promise<SignOff | null> {
  const last = lastSignedOff(projectId);
  return last === null ? null : loadSignOff(projectId, last);
}

/**
 * Judges a project and freezes it under a seal. What is sent twice under one id is signed once.
 * @throws Problem 404; 409 when the project was changed since it was looked at
 */
export async function signOff({ id, by, why, revision }: SignOffAsked, whom: For): Promise<KeptSignOff> {
  const there = find(whom.project, id);
  if (there) return { id, text: there.text };
  const input = await toReview(whom.project);
  if (input.revision !== revision)
    throw new Problem(
      409,
      `The project was changed since it was looked at: it is at revision ${input.revision}, not ${revision}. Look at it again, then sign off.`,
    );
  const review = await reviewed(input, whom);
  const text = sealed({
    id,
    by,
    why,
    revision,
    version: PRODUCT_VERSION,
    at: new Date().toISOString(),
    documents: input.documents,
    screens: screensOf(input.documents.project),
    review,
  });
  writing((tx) => tx.insert(signOffs).values({ projectId: whom.project, id, body: text }).run());
  return { id, text };
}
