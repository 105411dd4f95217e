import { eq } from 'drizzle-orm';
import { filesOfProject, type Documents } from '@/core/project/documents';
import { hasOriginal, isIntact } from '../blobs';
import { getDb } from '../db/client';
import { isDamaged } from '../damage';
import { blobs, fonts } from '../db/schema';
import { isWhole } from '../importing/picture';

/** A file that the store should hold whole, and does not. */
export interface LostFile {
  hash: string;
  /** what is wrong with it, in words */
  why: string;
}

const LOST = 'It is missing from the store, or cut short.';

/** Why the bytes of a file are not as they were stored, in words; `null` where they are. @throws Problem 410 when they are missing */
export const whyNotIntact = async (hash: string): Promise<string | null> =>
  (await isIntact(hash)) ? null : 'Its bytes are not those that were stored.';

/** The files of a project of which something is missing, or was found to be damaged: pictures with their previews, screenshots, and fonts. */
export async function lostFiles({ project }: Documents): Promise<string[]> {
  const lost: string[] = [];
  for (const hash of filesOfProject(project)) {
    const row = getDb().select().from(blobs).where(eq(blobs.hash, hash)).get();
    if (!row || isDamaged(hash) || !(await isWhole(row))) lost.push(hash);
  }
  for (const { hash } of project.fonts ?? []) {
    const row = getDb().select().from(fonts).where(eq(fonts.hash, hash)).get();
    if (!row || isDamaged(hash) || !(await hasOriginal(hash, row.bytes))) lost.push(hash);
  }
  return lost;
}

/**
 * Compares all files of the store with what is written down of them.
 * @param thorough reads every byte, instead of looking only at how many there are
 */
export async function verifyStore(thorough: boolean): Promise<{ checked: number; lost: LostFile[] }> {
  const pictures = getDb().select().from(blobs).all();
  const written = getDb().select().from(fonts).all();
  const lost: LostFile[] = [];
  const check = async (hash: string, whole: Promise<boolean>) => {
    const why = !(await whole) ? LOST : thorough ? await whyNotIntact(hash) : null;
    if (why !== null) lost.push({ hash, why });
  };
  for (const row of pictures) await check(row.hash, isWhole(row));
  for (const row of written) await check(row.hash, hasOriginal(row.hash, row.bytes));
  return { checked: pictures.length + written.length, lost };
}
