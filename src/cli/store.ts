import { existsSync } from 'node:fs';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import type { Documents } from '@/core/project/documents';
import type { Ink } from '@/core/pixels/ink';
import { Statistics } from '@/core/pixels/statistics';
import { inkFiles } from '@/core/files/check';
import { openOriginal, readOriginalNow } from '@/server/blobs';
import { screensOf } from '@/server/catalogue';
import { openToRead, type Db } from '@/server/db/client';
import { blobs } from '@/server/db/schema';
import { databaseIn } from '@/server/there';
import { STORED } from '@/server/drawing/read';
import { fileHost } from '@/server/drawing/file-host';
import { fileFacts, fontFacts } from '@/server/services/pictures';
import { keptSignOffs } from '@/server/services/kept-sign-offs';
import { listProjects, loadProject } from '@/server/services/projects';
import { Refusal, type Opened } from './opened';

/** The project that is meant: by its name or its id; the only one where nothing is said. @throws Refusal */
function idOf(db: Db, name: string | undefined, folder: string): string {
  const all = listProjects(db);
  if (all.length === 0) throw new Refusal(`The store in ${folder} has no project.`);
  const list = all.map((p) => `“${p.name}” (${p.id})`).join(', ');
  const found = name === undefined ? all : all.filter((p) => p.id === name || p.name === name);
  if (found.length === 1) return found[0]!.id;
  if (name === undefined)
    throw new Refusal(`Say which project is meant: --project NAME. The store in ${folder} has ${list}.`);
  throw new Refusal(
    found.length === 0
      ? `There is no project “${name}” in ${folder}. It has ${list}.`
      : `Several projects are called “${name}”. Say its id: ${list}.`,
  );
}

/** Where the ink of files lies, as far as the store has worked that out. */
function knownInk(db: Db, hashes: readonly string[]): Map<string, Ink | null> {
  const found = new Map<string, Ink | null>();
  for (const hash of hashes) {
    const row = db.select().from(blobs).where(eq(blobs.hash, hash)).get();
    const kept = row?.statistics && Statistics.safeParse(JSON.parse(row.statistics));
    if (kept && kept.success) found.set(hash, kept.data.ink);
  }
  return found;
}

/**
 * A project of a store, which is only read: a server may go on working with it.
 * @throws Refusal where there is no such store or project
 */
function readStored(store: string, name?: string) {
  const folder = path.resolve(store);
  if (!existsSync(databaseIn(folder)))
    throw new Refusal(
      `There is no store in ${folder}. It is the folder that STORE_DIR names, “store” when absent.`,
    );
  process.env.STORE_DIR = folder;
  const db = openToRead(folder);
  return { db, ...loadProject(idOf(db, name, folder), db) };
}

/** A project of a store, with what a review takes from there. @throws Refusal where there is no such store or project */
export function openStored(store: string, name?: string): Opened {
  const { db, documents, revision } = readStored(store, name);
  const ink = knownInk(db, inkFiles(documents.project.pictures));
  const hostOf = (of: Documents) => fileHost(of, { bytes: STORED, font: readOriginalNow, ink });
  return {
    documents,
    revision,
    screens: screensOf(documents.project),
    host: hostOf(documents),
    hostOf,
    signOffs: keptSignOffs(documents.project.id, db),
    bytes: { original: STORED.original, open: openOriginal, font: readOriginalNow },
    facts: () => Promise.resolve({ ...fileFacts(documents, db), ...fontFacts(documents, db) }),
    close: () => db.$client.close(),
  };
}
