import { asc, desc, eq } from 'drizzle-orm';
import type { KeptSignOff } from '@/core/review/sign-off';
import { getDb } from '../db/client';
import { signOffs } from '../db/schema';
import type { Handle } from './projects';

/** The sign-offs of a project as they are stored, in the order in which they were signed. */
export const keptSignOffs = (projectId: string, db: Handle = getDb()): KeptSignOff[] =>
  db
    .select({ id: signOffs.id, text: signOffs.body })
    .from(signOffs)
    .where(eq(signOffs.projectId, projectId))
    .orderBy(asc(signOffs.number))
    .all();

/** The id of the last sign-off of a project; `null` where nobody has signed it off. */
export const lastSignedOff = (projectId: string, db: Handle = getDb()): string | null =>
  db
    .select({ id: signOffs.id })
    .from(signOffs)
    .where(eq(signOffs.projectId, projectId))
    .orderBy(desc(signOffs.number))
    .get()?.id ?? null;
