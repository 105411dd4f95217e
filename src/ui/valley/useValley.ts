'use client';
import { useMemo } from 'react';
import { turn } from '@/core/screens/turn';
import type { Limit } from '@/core/measure/limit';
import { backgroundOf, valleysOf, type Mark } from '@/core/solve/mark';
import { VALLEY_MEASURES, type ValleyMeasure } from '@/core/solve/valley';
import { useScene, useWorkbench } from '../state/context';
import { named, type NamedValley } from './named';

/** What the strip is drawn from: the marks of the appearance that is looked at, their curves, and the limits. */
export interface ValleyData {
  name: string;
  marks: Mark[];
  valleys: NamedValley[];
  /** of the background, on each measure */
  limits: Record<ValleyMeasure, Limit[]>;
  /** the ratios that some screen has, with a little room at both ends */
  range: { low: number; high: number };
  /** of every case, width ÷ height of its screen */
  ratios: number[];
}

/**
 * The curves are of the documents that the marks were measured with, so that both go together; while a gesture goes on that
 * is a few times a second.
 */
function useMarked() {
  const open = useScene();
  const scene = useWorkbench((s) => s.surveyed?.scenes[s.sceneId]) ?? open;
  const pictures = useWorkbench((s) => (s.surveyed ?? s.documents).project.pictures);
  return { scene, pictures };
}

export function useValley(): ValleyData | null {
  const { scene, pictures } = useMarked();
  const limits = useWorkbench((s) => s.documents.project.limits);
  const appearance = useWorkbench((s) => s.view.appearance);
  const cases = useWorkbench((s) => s.cases);
  const marks = useWorkbench((s) => s.marks);
  return useMemo(() => {
    const background = backgroundOf(scene);
    if (!background) return null;
    const here = cases.filter((c) => c.appearance === appearance);
    const ratios = here.map((c) => {
      const { width, height } = turn(c.screen, c.rotation).size;
      return width / height;
    });
    const shown = here.flatMap((c) => marks.get(c.id) ?? []).filter((m) => m.ratio > 0);
    const of = (measure: ValleyMeasure) =>
      limits.filter((l) => l.role === 'background' && l.measure === measure && l.max !== undefined);
    return {
      name: background.name,
      marks: shown,
      valleys: named(valleysOf(shown, scene, pictures), background),
      limits: Object.fromEntries(VALLEY_MEASURES.map((m) => [m, of(m)])) as ValleyData['limits'],
      ratios,
      range: { low: Math.min(...ratios) / 1.05, high: Math.max(...ratios) * 1.05 },
    };
  }, [scene, pictures, limits, appearance, cases, marks]);
}
