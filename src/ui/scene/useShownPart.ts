'use client';
import { useMemo, type CSSProperties } from 'react';
import { findCase } from '@/core/screens/cases';
import { surveyCase, surveyInput } from '@/core/survey/survey';
import { useScene, useWorkbench } from '../state/context';

const share = (part: number, whole: number) => `${(part / whole) * 100}%`;

/** The part of a layer’s picture that the case in the close-up shows, as shares of the picture. */
export function useShownPart(layerId: string): CSSProperties | null {
  const documents = useWorkbench((s) => s.documents);
  const screens = useWorkbench((s) => s.screens);
  const id = useWorkbench((s) => s.view.case);
  const scene = useScene();
  return useMemo(() => {
    const c = id ? findCase(id, screens) : null;
    const layer = c && surveyCase(surveyInput(documents, scene), c).layers.find((l) => l.id === layerId);
    if (layer?.kind !== 'picture' || !layer.placement.source) return null;
    const { source, natural } = layer.placement;
    return {
      left: share(source.x, natural.width),
      top: share(source.y, natural.height),
      width: share(source.width, natural.width),
      height: share(source.height, natural.height),
    };
  }, [documents, screens, id, scene, layerId]);
}
