import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { leadsBack, type Change } from '@/core/patch/change';
import { filesOfProject, idTwice, type Documents } from '@/core/project/documents';
import { NewerSchema, readDocuments } from '@/core/project/migrate';
import { applyPatch, diff, PatchError, sameJson } from '@/core/patch/patch';
import { screensFor } from '@/core/icons/slots';
import { casesOf } from '@/core/screens/cases';
import { whyNotDrawn } from '@/core/survey/can-be-drawn';
import { knownScreens } from '../catalogue';
import { fontsFor } from '../fonts/fonts';
import { writing } from '../db/client';
import { blobs, fonts, history, projects } from '../db/schema';
import { describe, Problem } from '../problem';
import { takenBackTo } from './revisions';
import { appendHistory, loadProject, writeDocuments, type Handle, type StoredProject } from './projects';

export interface Saved {
  /** the revision that the change led to */
  revision: number;
}

/** The documents after a change, checked as a whole. @throws Problem 422 that names what is wrong with it */
function changed(before: Documents, change: Change): Documents {
  try {
    const after = readDocuments(applyPatch(before, change.patch));
    if (after.project.id !== before.project.id) throw new Problem(422, 'The id of a project cannot change.');
    if (!leadsBack(change, before, after)) {
      throw new Problem(422, 'The inverse of this change does not lead back to where it started.');
    }
    const twice = idTwice(after);
    // What was so before, from an earlier version, can still be worked on.
    if (twice && !idTwice(before)) throw new Problem(422, `${twice} Give one of them another id.`);
    return keepShared(before, after);
  } catch (error) {
    if (error instanceof z.ZodError) throw new Problem(422, describe(error));
    if (error instanceof PatchError || error instanceof NewerSchema) throw new Problem(422, error.message);
    throw error;
  }
}

/** Parsing copies everything; documents that say the same are the same again, so that only changed rows are written. */
function keepShared(before: Documents, after: Documents): Documents {
  const scenes = Object.fromEntries(
    Object.entries(after.scenes).map(([id, scene]) => {
      const old = before.scenes[id];
      return [id, old && sameJson(old, scene) ? old : scene];
    }),
  );
  return { project: sameJson(before.project, after.project) ? before.project : after.project, scenes };
}

const hashesOf = ({ project }: Documents) => new Set(filesOfProject(project));

/** What of a project the drawing of every scene hangs on. */
const drawnBy = ({ pictures, named, screens, fonts }: Documents['project']) => [
  pictures,
  named,
  screens,
  fonts ?? [],
];

/**
 * A scene that could not be drawn on some screen would be lost to its makers: the page could not show it.
 * @param before of which all scenes could be drawn; `null` of new documents @throws Problem 422
 */
export function checkDrawn(before: Documents | null, after: Documents): void {
  const isElse = !before || !sameJson(drawnBy(before.project), drawnBy(after.project));
  const changed = Object.entries(after.scenes).filter(([id, scene]) => isElse || before.scenes[id] !== scene);
  if (changed.length === 0) return;
  const screens = knownScreens(after.project);
  for (const [id, scene] of changed) {
    const cases = casesOf(screensFor(scene, after.project, screens), ['light']);
    const problem = whyNotDrawn(after, id, cases, fontsFor(after));
    if (problem) throw new Problem(422, `The scene “${scene.name}” could not be drawn. ${problem}`);
  }
}

/** Documents may only point at files that are kept. */
function checkFiles(db: Handle, before: Documents, after: Documents): void {
  const known = hashesOf(before);
  for (const hash of hashesOf(after)) {
    if (known.has(hash)) continue;
    const row = db.select({ hash: blobs.hash }).from(blobs).where(eq(blobs.hash, hash)).get();
    if (!row) throw new Problem(422, `The file ${hash.slice(0, 12)}… is not kept here. Upload it first.`);
  }
}

const fontsOf = ({ project: { fonts = [] } }: Documents) => new Set(fonts.map((f) => f.hash));

/** Documents may only write with fonts that are kept. */
function checkFonts(db: Handle, before: Documents, after: Documents): void {
  const known = fontsOf(before);
  for (const hash of fontsOf(after)) {
    if (known.has(hash)) continue;
    const row = db.select({ hash: fonts.hash }).from(fonts).where(eq(fonts.hash, hash)).get();
    if (!row) throw new Problem(422, `The font ${hash.slice(0, 12)}… is not kept here. Import it first.`);
  }
}

/** What became of a project since a revision: what differs, or all of it where that revision is none, or not kept. */
function since(projectId: string, seen: number, now: StoredProject, db: Handle) {
  const { revision, documents } = now;
  try {
    return { revision, patch: diff(takenBackTo(projectId, seen, now, db), documents) };
  } catch (error) {
    if (error instanceof Problem) return { revision, documents };
    throw error;
  }
}

/**
 * Saves one change on top of the revision that its maker saw, in one transaction with its entry in the history. The
 * same change again gets the same answer.
 *
 * @throws Problem 404; 412 with what differs since (or with the present documents) when others came first; 422 when the result would not be valid
 */
export function saveChange(projectId: string, seen: number, change: Change): Saved {
  return writing((tx): Saved => {
    const now = loadProject(projectId, tx);
    const { revision, documents: before } = now;
    const made = and(eq(history.projectId, projectId), eq(history.changeId, change.id));
    const again = tx.select({ revision: history.revision }).from(history).where(made).get();
    if (again) return again;
    if (revision !== seen) {
      const differing = since(projectId, seen, now, tx);
      throw new Problem(412, 'The project was changed elsewhere in the meantime.', differing);
    }
    const after = changed(before, change);
    checkFiles(tx, before, after);
    checkFonts(tx, before, after);
    // Last, because it reads the fonts.
    checkDrawn(before, after);
    const at = new Date().toISOString();
    const next = revision + 1;
    writeDocuments(tx, projectId, before, after);
    tx.update(projects)
      .set({ revision: next, name: after.project.name, updatedAt: at })
      .where(eq(projects.id, projectId))
      .run();
    appendHistory(tx, projectId, next, change, at);
    return { revision: next };
  });
}
