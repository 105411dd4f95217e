'use client';
import { useMemo } from 'react';
import { sayShare } from '@/core/formats/numbers';
import { gravest, outcomeOf } from '@/core/measure/judge';
import { sayFigure } from '@/core/measure/words';
import type { Documents } from '@/core/scene/documents';
import type { Case } from '@/core/screens/cases';
import type { CaseResult } from '@/core/survey/survey';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useCaseResult } from '../state/case-result';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { openCase } from '../state/open-case';
import { caseName, OUTCOME_SHAPES } from '../words';

/** CSS px that the longer side of a screen takes. */
const ROOM = 112;

/** Crop, bare and distortion of a layer in one number of each, as far as it has them. */
function lossesOf(result: CaseResult | null, layerId: string) {
  const layer = result?.layers.find((l) => l.id === layerId);
  if (!layer || layer.kind === 'ground') return null;
  const { crop, bare, distortion } = layer.measures;
  return { crop: crop?.total ?? 0, bare: bare?.total ?? 0, distorted: distortion ?? 0 };
}

/** “crop 12 %”, or that nothing is lost. */
function sayLosses(losses: ReturnType<typeof lossesOf>): string {
  const said = Object.entries(losses ?? {}).flatMap(([k, v]) => (v >= 0.0005 ? [`${k} ${sayShare(v)}`] : []));
  return said.join(', ') || 'nothing lost';
}

/** “+12 %”, or nothing where both are the same. */
function sayChange(is: number, was: number): string | null {
  const by = is - was;
  if (Math.abs(by) < 0.0005) return null;
  return `${by > 0 ? '+' : '−'}${sayShare(Math.abs(by))}`;
}

interface Props {
  shown: Case;
  documents: Documents;
  inUse: boolean;
  layerId: string;
}

/** One variant on one case: drawn, its gravest breach, and its difference to the one in use. */
export function FitCell({ shown, documents, inUse, layerId }: Props) {
  const store = useWorkbenchStore();
  const current = useWorkbench((s) => s.documents);
  const result = useCaseResult(shown, documents);
  const now = useCaseResult(inUse ? null : shown, current);
  const changes = useMemo(() => {
    const [is, was] = [lossesOf(result, layerId), lossesOf(now, layerId)];
    if (!is || !was) return [];
    return (['crop', 'bare', 'distorted'] as const).flatMap((k) => {
      const change = sayChange(is[k], was[k]);
      return change ? [`${k} ${change}`] : [];
    });
  }, [result, now, layerId]);
  if (!result) return <td />;
  const { width, height } = result.regions.screen;
  const own = result.breaches.filter((b) => b.layerId === layerId);
  const breach = gravest(own);
  const outcome = outcomeOf(own);
  const figure = breach
    ? sayFigure(breach.limit.measure, breach.value)
    : sayLosses(lossesOf(result, layerId));
  return (
    <td>
      <button
        type="button"
        className="fits-cell"
        aria-label={`Open ${caseName(shown)}: ${outcome}`}
        onClick={() => openCase(store, shown.id)}
      >
        <CaseCanvas result={result} scale={ROOM / Math.max(width, height)} />
      </button>
      <span className="figures">
        <b className={`outcome-${outcome}`}>{OUTCOME_SHAPES[outcome]}</b> {figure}
      </span>
      {changes.length > 0 && <span className="figures quiet">{changes.join(', ')}</span>}
    </td>
  );
}
