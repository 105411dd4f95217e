'use client';
import { useMemo, type CSSProperties } from 'react';
import type { Align } from '@/core/fit/rule';
import type { Cut } from '@/core/pictures/picture';
import type { PictureLayer } from '@/core/scene/scene';
import { fitRuleOn } from '@/core/scene/when';
import { useCaseResult, useChosenCase } from '../state/case-result';
import { useWorkbench } from '../state/context';
import { CUT_WORDS } from '../words';

/** How the case in the close-up shows the picture of a layer; without a case, its first cut by the usual rule. */
export interface ShownPart {
  cut: Cut;
  /** of how many */
  cuts: number;
  /** the part that is seen, as shares of the cut; `null` where none is */
  part: CSSProperties | null;
  /** whose fit it takes: that of one of the rules that differ, or the usual one for −1 */
  rule: number;
}

const share = (part: number, whole: number) => `${(part / whole) * 100}%`;

/** “the cut for portrait”, where a picture has several */
export const sayCut = ({ cut }: Cut) => `the cut for ${CUT_WORDS[cut]}`;

/** What holds a picture, %: a position, or the focal point of a cut, the middle without one. */
export function heldPoint(align: Align, cut: Cut | undefined): { x: number; y: number } {
  if (align.kind === 'position') return { x: align.x.percent, y: align.y.percent };
  const { x, y } = cut?.focalPoint ?? { x: 0.5, y: 0.5 };
  return { x: x * 100, y: y * 100 };
}

/** @returns `null` where the picture is not there */
export function useShown(layer: PictureLayer): ShownPart | null {
  const documents = useWorkbench((s) => s.documents);
  const result = useCaseResult(useChosenCase(), documents);
  return useMemo(() => {
    const picture = documents.project.pictures.find((p) => p.id === layer.picture);
    if (!picture) return null;
    const cuts = picture.cuts.length;
    const rule = result ? fitRuleOn(layer, result.regions.screen) : -1;
    const drawn = result?.layers.find((l) => l.id === layer.id);
    if (drawn?.kind !== 'picture') return { cut: picture.cuts[0]!, cuts, part: null, rule };
    const cut = picture.cuts.find((c) => c.cut === drawn.cut) ?? picture.cuts[0]!;
    const { source, natural } = drawn.placement;
    const part = source && {
      left: share(source.x, natural.width),
      top: share(source.y, natural.height),
      width: share(source.width, natural.width),
      height: share(source.height, natural.height),
    };
    return { cut, cuts, part, rule };
  }, [documents, result, layer]);
}
