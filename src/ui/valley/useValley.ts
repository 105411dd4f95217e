'use client';
import { useMemo } from 'react';
import { turn } from '@/core/screens/turn';
import type { Limit } from '@/core/measure/limit';
import { sayRatio } from '@/core/formats/numbers';
import type { PictureLayer } from '@/core/scene/scene';
import { sayWhen } from '@/core/sentences/layer';
import { backgroundOf, valleysOf, type CutValley, type Mark } from '@/core/survey/mark';
import { VALLEY_MEASURES, type ValleyMeasure } from '@/core/solve/valley';
import { useScene, useWorkbench } from '../state/context';

/** A curve, and what tells it from the others; nothing of the only one. */
export interface NamedValley extends CutValley {
  key: string;
  label: string;
}

const CUTS: Record<CutValley['cut'], string> = {
  any: 'cut for the rest',
  portrait: 'cut for portrait',
  landscape: 'cut for landscape',
};

/** “cut for portrait, file 0.5, from 600 lu of width”: no more than is needed to tell one from the others. */
function named(valleys: readonly CutValley[], { when = [] }: PictureLayer): NamedValley[] {
  const said: readonly ((v: CutValley) => string)[] = [
    (v) => CUTS[v.cut],
    (v) => `file ${sayRatio(v.own)}`,
    (v) => (when[v.rule] ? sayWhen(when[v.rule]!) : 'by the usual rule'),
  ];
  let labels = valleys.map(() => [] as string[]);
  for (const say of said) {
    const longer = labels.map((label, i) => [...label, say(valleys[i]!)]);
    if (countOf(longer) > countOf(labels)) labels = longer;
  }
  return valleys.map((v, i) => ({
    ...v,
    key: `${v.cut} ${v.own} ${v.rule}`,
    label: labels[i]!.join(', '),
  }));
}
/** How many labels there are that differ. */
const countOf = (labels: readonly string[][]) => new Set(labels.map((l) => l.join())).size;

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

export function useValley(): ValleyData | null {
  const scene = useScene();
  const pictures = useWorkbench((s) => s.documents.project.pictures);
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
