'use client';
import type { Size } from '@/core/geometry/rect';
import { useMemo } from 'react';
import { gravest } from '@/core/measure/judge';
import { ownerName } from '@/core/measure/words';
import { freeWindow } from '@/core/screens/free';
import { sayBreached } from '@/core/solve/summary';
import { sayNumber, sayRatio } from '@/core/words/numbers';
import { useBaseScreen, useCaseResult } from '../state/case-result';
import { useWorkbench } from '../state/context';
import { OUTCOME_SHAPES } from '../words';

/** What becomes of the scene on the window that is pointed at. */
export function PointedAt({ size }: { size: Size | null }) {
  const base = useBaseScreen();
  const documents = useWorkbench((s) => s.documents);
  const appearance = useWorkbench((s) => s.view.appearance);
  const around = useWorkbench((s) => s.view.around);
  const c = useMemo(
    () => (size && base ? freeWindow(size, base, appearance, around) : null),
    [size, base, appearance, around],
  );
  const result = useCaseResult(c, documents);
  if (!size || !result)
    return (
      <p className="size-map-at quiet">Point at a size to see what becomes of it; click to look at it.</p>
    );
  const worst = gravest(result.breaches);
  return (
    <p className="size-map-at figures">
      <b>
        {sayNumber(size.width)} × {sayNumber(size.height)} lu
      </b>
      , ratio {sayRatio(size.width / size.height)}:{' '}
      <span className={`outcome-${result.outcome}`}>
        {OUTCOME_SHAPES[result.outcome]} {result.outcome}
      </span>
      {worst && ` · ${ownerName(worst.subjectId, result.layers)}: ${sayBreached(worst, result)}`}
    </p>
  );
}
