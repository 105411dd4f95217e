import { setTimeout as pause } from 'node:timers/promises';
import { readOriginal, readPreview, storePreview } from '../blobs';
import { getDb } from '../db/client';
import { blobs, fonts } from '../db/schema';
import { drawn, NOBODY } from '../drawing/drawn';
import { effortOf } from '../importing/picture';
import { log } from '../log';
import { sniff } from '../pictures/sniff';
import { Problem } from '../problem';
import { listProjects } from '../services/projects';
import { listSignOffs } from '../services/sign-offs';
import { whyNotIntact } from '../services/verify';

/** What a look at every byte of the store has found. */
export interface Scrubbed {
  checked: number;
  /** what is not as it was stored, and cannot be put right by itself: files by their hash, sign-offs by their id */
  broken: { what: 'picture' | 'font' | 'sign-off'; id: string; why: string }[];
  /** hashes of the files of which a preview was other than it should be, and was made again */
  mended: string[];
}

type Row = typeof blobs.$inferSelect;

/** Makes the previews of a file once more and keeps those that are other ones. @returns whether there were any */
async function mendPreviews(row: Row): Promise<boolean> {
  const { hash } = row;
  const bytes = await readOriginal(hash);
  const type = await sniff(bytes);
  if (!type) return false;
  const { previews } = await drawn(
    { kind: 'examine', input: { bytes, type, name: hash }, ...effortOf(bytes, type), name: hash },
    NOBODY,
  );
  let mended = false;
  for (const { widthPx, bytes: made } of previews) {
    const kept = await readPreview(hash, widthPx).catch((error: unknown) => {
      if (error instanceof Problem) return null;
      throw error;
    });
    if (kept?.equals(made)) continue;
    mended = true;
    await storePreview(hash, widthPx, made);
  }
  return mended;
}

/** Whether the bytes of a file are as they were stored; why not, in words, where they are not. */
async function whyBroken(hash: string): Promise<string | null> {
  try {
    return await whyNotIntact(hash);
  } catch (error) {
    if (error instanceof Problem) return error.message;
    throw error;
  }
}

/**
 * Reads every byte of the store, one file after another: originals and fonts are held against their hashes, sign-offs against
 * their seals, and previews are made again where they are other ones.
 * @param pauseMs after each file, so that nobody waits for it
 */
export async function scrubStore(pauseMs: number): Promise<Scrubbed> {
  const found: Scrubbed = { checked: 0, broken: [], mended: [] };
  const next = async () => {
    found.checked++;
    await pause(pauseMs, undefined, { ref: false });
  };
  for (const row of getDb().select().from(blobs).all()) {
    const why = await whyBroken(row.hash);
    if (why !== null) found.broken.push({ what: 'picture', id: row.hash, why });
    else if (await mendPreviews(row)) found.mended.push(row.hash);
    await next();
  }
  for (const { hash } of getDb().select({ hash: fonts.hash }).from(fonts).all()) {
    const why = await whyBroken(hash);
    if (why !== null) found.broken.push({ what: 'font', id: hash, why });
    await next();
  }
  for (const { id } of listProjects())
    for (const listed of listSignOffs(id)) {
      if ('fault' in listed) found.broken.push({ what: 'sign-off', id: listed.id, why: listed.fault });
      await next();
    }
  return found;
}

/** Of the looks at every byte, ms: after which the first one begins, between two, and after each file. */
const SCRUB = { firstMs: 10 * 60_000, everyMs: 24 * 60 * 60_000, pauseMs: 2000 };

async function scrubAndSay(): Promise<void> {
  const { checked, broken, mended } = await scrubStore(SCRUB.pauseMs);
  log.info({ checked, mended }, `${checked} files and sign-offs of the store were read.`);
  for (const { what, id, why } of broken)
    log.warn({ [what]: id }, `A ${what} is not as it was stored. ${why}`);
}

/** Reads every byte of the store once a day, slowly, and says what it has found. */
export function scrubDaily(): void {
  const run = () => {
    scrubAndSay()
      .catch((error: unknown) => log.error(error, 'The store could not be read through.'))
      .finally(() => setTimeout(run, SCRUB.everyMs).unref());
  };
  setTimeout(run, SCRUB.firstMs).unref();
}
