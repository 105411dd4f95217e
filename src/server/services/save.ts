import { and, eq, isNull } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { leadsBack, type Change } from '@/core/patch/change';
import { filesOfProject, idTwice, readChanged, type Documents } from '@/core/project/documents';
import { NewerSchema, readDocuments } from '@/core/project/migrate';
import { stepFromPaths } from '@/core/steps/from-paths';
import { applyPatch, diff, isObject, PatchError, sameJson } from '@/core/patch/patch';
import { screensFor } from '@/core/icons/slots';
import type { Scene } from '@/core/scene/scene';
import { casesOf, type Case } from '@/core/screens/cases';
import type { Screen } from '@/core/screens/screen';
import { whyNotDrawn } from '@/core/survey/can-be-drawn';
import { knownScreens } from '../catalogue';
import { fontsFor } from '../fonts/fonts';
import { writing } from '../db/client';
import { blobs, fonts, history, projects } from '../db/schema';
import { describe, Problem } from '../problem';
import { takenBackTo } from './revisions';
import { appendHistory, loadProject, writeDocuments, type Handle, type StoredProject } from './projects';
import { shared } from '../process-wide';

/** As much of documents as says whether they are of the version that they were. */
const Whole = z.object({
  project: z.custom<{ schema: unknown }>(isObject),
  scenes: z.custom<Record<string, unknown>>(isObject),
});

export interface Saved {
  /** the revision that the change led to */
  revision: number;
}

/** What became of documents by a patch, read: what it did not touch was read before. @throws ZodError, NewerSchema */
function readAfter(before: Documents, json: unknown): Documents {
  const { data: after } = Whole.safeParse(json);
  return after && after.project.schema === before.project.schema
    ? readChanged(before, after)
    : readDocuments(json);
}

/** The documents after a change, checked as a whole. @throws Problem 422 that names what is wrong with it */
function changed(before: Documents, change: Change): Documents {
  try {
    const after = readAfter(before, applyPatch(before, change.patch));
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

/** What of a project the drawing of every scene hangs on; on a picture that of those which show it. */
const drawnBy = ({ named, screens, fonts }: Documents['project']) => [named, screens, fonts ?? []];

/** The scenes that a change may keep from being drawn. @param before `null` of new documents */
function reached(before: Documents | null, after: Documents): [id: string, scene: Scene][] {
  const isElse = !before || !sameJson(drawnBy(before.project), drawnBy(after.project));
  const pictures = before ? changedPictures(before, after) : new Set<string>();
  const showsChanged = ({ layers }: Scene) =>
    layers.some((l) => l.kind === 'picture' && pictures.has(l.picture));
  return Object.entries(after.scenes).filter(
    ([id, scene]) => isElse || before.scenes[id] !== scene || showsChanged(scene),
  );
}

/** Pictures that are other ones than they were, or are gone. */
function changedPictures(before: Documents, after: Documents): Set<string> {
  if (before.project.pictures === after.project.pictures) return new Set();
  const now = new Map(after.project.pictures.map((p) => [p.id, p]));
  return new Set(before.project.pictures.filter((p) => !sameJson(p, now.get(p.id))).map((p) => p.id));
}

/**
 * A scene that could not be drawn on some screen would be lost to its makers: the page could not show it.
 * @param before of which all scenes could be drawn; `null` of new documents @throws Problem 422
 */
export function checkDrawn(before: Documents | null, after: Documents): void {
  const changed = reached(before, after);
  if (changed.length === 0) return;
  const screens = knownScreens(after.project);
  const lists = new Map<readonly Screen[], Case[]>();
  const casesOn = (own: readonly Screen[]) =>
    lists.get(own) ?? lists.set(own, casesOf(own, ['light'])).get(own)!;
  for (const [id, scene] of changed) {
    const cases = casesOn(screensFor(scene, after.project, screens));
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

/** What was saved last, of the projects that were saved last: the next change of it need not read all of them again. */
const saved = shared('saved', () => new LRUCache<string, StoredProject & { at: string }>({ max: 8 }));

/** A project as it is stored, without reading it where it is as it was saved last. @throws Problem 404, 409 */
function present(projectId: string, db: Handle): StoredProject {
  const last = saved().get(projectId);
  if (last) {
    const same = and(
      eq(projects.id, projectId),
      isNull(projects.deletedAt),
      eq(projects.revision, last.revision),
      eq(projects.updatedAt, last.at),
    );
    if (db.select({ id: projects.id }).from(projects).where(same).get()) return last;
  }
  return loadProject(projectId, db);
}

/**
 * Saves one change on top of the revision that its maker saw, in one transaction with its entry in the history. The
 * same change again gets the same answer.
 *
 * @throws Problem 404; 412 with what differs since (or with the present documents) when others came first; 422 when the result would not be valid
 */
export function saveChange(projectId: string, seen: number, change: Change): Saved {
  let kept: (StoredProject & { at: string }) | null = null;
  const answer = writing((tx): Saved => {
    const made = and(eq(history.projectId, projectId), eq(history.changeId, change.id));
    const again = tx.select({ revision: history.revision }).from(history).where(made).get();
    const now = present(projectId, tx);
    if (again) return again;
    const { revision, documents: before } = now;
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
    appendHistory(tx, projectId, next, { ...change, step: change.step ?? stepFromPaths(change, before) }, at);
    kept = { revision: next, documents: after, at };
    return { revision: next };
  });
  if (kept) saved().set(projectId, kept);
  return answer;
}
