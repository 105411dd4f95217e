'use client';
import type { SceneFinding } from '@/core/findings/scene';
import { worse, type Outcome } from '@/core/measure/judge';
import type { Part } from '@/core/sentences/parts';
import { useWorkbench } from '../state/context';
import { partFor } from './part-at';

/** A finding that the part of a rule causes. */
export type Cause = Pick<SceneFinding, 'outcome' | 'word'> & { part: NonNullable<SceneFinding['part']> };

const NONE: readonly Cause[] = [];
const sorted = new WeakMap<readonly SceneFinding[], Map<string | null, Cause[]>>();

/** Causes by the layer that they lie in: the very lists of before while nothing else was found, so that only what changes is drawn again. */
function byLayer(findings: readonly SceneFinding[]): Map<string | null, Cause[]> {
  const known = sorted.get(findings);
  if (known) return known;
  const lists = new Map<string | null, Cause[]>();
  for (const { outcome, word, part } of findings) {
    if (!part) continue;
    lists.set(part.layerId, [...(lists.get(part.layerId) ?? []), { outcome, word, part }]);
  }
  sorted.set(findings, lists);
  return lists;
}

/** The findings that a layer’s rule causes; those of the scene’s own settings without a layer. */
export const useCauses = (layerId: string | null): readonly Cause[] =>
  useWorkbench((s) => (s.found && byLayer(s.found).get(layerId)) ?? NONE);

/** What is said of a part that causes something. */
export interface PartFault {
  outcome: Outcome;
  /** “cropped too much, has a keep area cut off” */
  words: string;
}

/** The gravest of several findings, and all of them in words; `null` without any. */
export function faultOf(causes: readonly Cause[]): PartFault | null {
  if (causes.length === 0) return null;
  return {
    outcome: causes.reduce<Outcome>((o, c) => worse(o, c.outcome), 'clear'),
    words: [...new Set(causes.map((c) => c.word))].join(', '),
  };
}

/** The parts of a rule that cause something: each finding is laid to the part that says what stands at its path. */
export function faultsOf(parts: readonly Part[], causes: readonly Cause[]): ReadonlyMap<Part, PartFault> {
  const found = new Map<Part, Cause[]>();
  for (const cause of causes) {
    const part = partFor(parts, cause.part.path);
    if (part) found.set(part, [...(found.get(part) ?? []), cause]);
  }
  return new Map([...found].map(([part, list]) => [part, faultOf(list)!]));
}
