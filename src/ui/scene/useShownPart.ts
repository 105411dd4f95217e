'use client';
import { useMemo, type CSSProperties } from 'react';
import { useCaseResult, useChosenCase } from '../state/case-result';
import { useWorkbench } from '../state/context';

const share = (part: number, whole: number) => `${(part / whole) * 100}%`;

/** The part of a layer’s picture that the case in the close-up shows, as shares of the picture. */
export function useShownPart(layerId: string): CSSProperties | null {
  const result = useCaseResult(
    useChosenCase(),
    useWorkbench((s) => s.documents),
  );
  return useMemo(() => {
    const layer = result?.layers.find((l) => l.id === layerId);
    if (layer?.kind !== 'picture' || !layer.placement.source) return null;
    const { source, natural } = layer.placement;
    return {
      left: share(source.x, natural.width),
      top: share(source.y, natural.height),
      width: share(source.width, natural.width),
      height: share(source.height, natural.height),
    };
  }, [result, layerId]);
}
