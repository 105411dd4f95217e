'use client';
import { memo } from 'react';
import { turnedSize } from '@/core/screens/turn';
import { distinctCases } from '@/core/screens/likeness';
import { useCounted, useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { caseName } from '../words';
import { MarkShape } from '../parts/MarkShape';
import type { MapScale } from './map-scale';

/** Every screen as it is held, judged with its own insets. */
export const MapMarks = memo(function MapMarks({ scale }: { scale: MapScale }) {
  const cases = useCounted();
  const appearance = useWorkbench((s) => s.view.appearance);
  const summaries = useWorkbench((s) => s.summaries);
  const chosen = useWorkbench((s) => s.view.case);
  const look = useLook();
  const here = distinctCases(cases.filter((c) => c.appearance === appearance));
  return here.map(({ shown, alike }) => {
    const summary = summaries.get(shown.id);
    if (!summary) return null;
    const { width, height } = turnedSize(shown.screen, shown.rotation);
    const more = alike.length > 0 ? ` and ${alike.length} like it` : '';
    return (
      <MarkShape
        key={shown.id}
        x={scale.x(width)}
        y={scale.y(height)}
        outcome={summary.outcome}
        failsBesides={false}
        solid
        title={`${caseName(shown)}${more}: ${summary.outcome}`}
        chosen={chosen === shown.id || alike.some((c) => c.id === chosen)}
        onOpen={() => look({ case: shown.id, window: undefined })}
      />
    );
  });
});
