import { sayRatio } from '@/core/words/numbers';
import type { PictureLayer } from '@/core/scene/scene';
import { sayWhen } from '@/core/sentences/layer';
import { curveKey, type CutValley } from '@/core/solve/mark';

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
export function named(
  valleys: readonly CutValley[],
  { when = [] }: Pick<PictureLayer, 'when'>,
): NamedValley[] {
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
    key: curveKey(v),
    label: labels[i]!.join(', '),
  }));
}
/** How many labels there are that differ. */
const countOf = (labels: readonly string[][]) => new Set(labels.map((l) => l.join())).size;
