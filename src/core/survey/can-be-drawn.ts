import type { Documents } from '../project/documents';
import { isPlaced, Scene } from '../scene/scene';
import { holds } from '../scene/when';
import type { Case } from '../screens/cases';
import { turnedSize } from '../screens/turn';
import type { TextMetrics } from '../text/layout';
import { surveyCase, surveyInput } from './survey';

/** One case for every combination of rules that differ: between them they use every rule that any case uses. */
export function oneOfEachRule(scene: Scene, cases: readonly Case[]): Case[] {
  const differing = scene.layers.flatMap((l) => (isPlaced(l) && l.when ? [l.when] : []));
  if (differing.length === 0) return cases.slice(0, 1);
  const found = new Map<string, Case>();
  for (const c of cases) {
    const size = turnedSize(c.screen, c.rotation);
    const key = differing.map((when) => when.findIndex((w) => holds(w, size))).join(' ');
    if (!found.has(key)) found.set(key, c);
  }
  return [...found.values()];
}

/**
 * What keeps a scene from being drawn on some screen, such as layers that are measured from one another in a circle
 * or a named value that is not there; `null` when nothing does.
 */
export function whyNotDrawn(
  documents: Documents,
  sceneId: string,
  cases: readonly Case[],
  fonts: TextMetrics | null,
): string | null {
  const scene = documents.scenes[sceneId];
  if (!scene) return null;
  const parsed = Scene.safeParse(scene);
  if (!parsed.success) return parsed.error.issues[0]!.message;
  const input = surveyInput(documents, scene, { fonts });
  try {
    for (const c of oneOfEachRule(scene, cases)) surveyCase(input, c);
    return null;
  } catch (error) {
    return error instanceof Error ? error.message : String(error);
  }
}
