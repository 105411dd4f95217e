import { layerSentence } from '@/core/sentences/layer';
import { sentenceText } from '@/core/sentences/parts';
import type { Change } from '@/core/patch/change';
import type { WorkbenchState } from './workbench';

/** The layer that a change is of; `null` where it is of more than one, or of none. */
function layerOf({ patch }: Change, { documents, sceneId }: WorkbenchState) {
  const places = patch.map(({ path }) => path.split('/').slice(1, 5));
  const [first] = places;
  if (!first || places.some((p) => p.join() !== first.join())) return null;
  const [room, scene, list, index] = first;
  if (room !== 'scenes' || scene !== sceneId || list !== 'layers') return null;
  return documents.scenes[sceneId]?.layers[Number(index)] ?? null;
}

/**
 * What there is to hear of an edit: how the rule reads that it changed.
 * @param before the state before it
 * @returns `null` where nothing was edited
 */
export function announcementOf(now: WorkbenchState, before: WorkbenchState): string | null {
  if (now.undo === before.undo && now.redo === before.redo) return null;
  const isUndone = now.redo.length > before.redo.length;
  const change = isUndone ? before.undo.at(-1) : now.undo.at(-1);
  if (!change || (!isUndone && now.undo.length <= before.undo.length)) return null;
  const isRedone = !isUndone && change.patch === before.redo.at(-1)?.inverse;
  const verb = isUndone ? 'Undone' : isRedone ? 'Redone' : 'Done';
  const done = change.step ? `${verb}: ${change.step.name}.` : `${verb}.`;
  const layer = layerOf(change, now);
  if (!layer) return done;
  const { project, scenes } = now.documents;
  const { layers, direction } = scenes[now.sceneId]!;
  const names = { layers, named: project.named, fonts: project.fonts, mirrored: direction === 'rtl' };
  return `${done} ${sentenceText(layerSentence(layer, names, project.pictures))}`;
}

/** How many cases fail after an edit, where that is another number than before. */
export function sayFailing(before: { fail: number }, { fail }: { fail: number }): string | null {
  if (before.fail === fail) return null;
  return `Now ${fail === 0 ? 'none fails' : fail === 1 ? '1 fails' : `${fail} fail`}.`;
}
