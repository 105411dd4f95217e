'use client';
import { useMemo } from 'react';
import { isRepeated } from '@/core/fit/tiles';
import { changes, LOSSES } from '@/core/measure/change';
import { gravest, outcomeOf } from '@/core/measure/judge';
import { figureOf } from '@/core/measure/limit';
import { sayChange, sayFigure } from '@/core/measure/words';
import type { Documents } from '@/core/project/documents';
import type { Case } from '@/core/screens/cases';
import type { CaseResult } from '@/core/survey/survey';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useCaseResult } from '../state/case-result';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { openCase } from '../state/open-case';
import { useIsMeasured } from '../state/outside';
import { caseName, OUTCOME_SHAPES } from '../words';

/** Differences that there is room for; all stand in the title. */
const MOST_SAID = 2;
/** CSS px that the longer side of a screen takes. */
const ROOM = 112;

/** What is measured of one layer, and what of it is wrong; `null` of a ground. */
function judgedOf(result: CaseResult | null, layerId: string) {
  const layer = result?.layers.find((l) => l.id === layerId);
  if (!layer || layer.kind === 'ground') return null;
  const breaches = result!.breaches.filter((b) => b.subjectId === layerId);
  return { layer, measures: layer.measures, breaches };
}

/** “crop 12 %”, or that nothing is lost; of a repeated picture nobody can say that. */
function sayLosses({ layer, measures }: NonNullable<ReturnType<typeof judgedOf>>): string {
  const said = LOSSES.flatMap((m) => {
    const value = figureOf(m)(measures) ?? 0;
    return value >= 0.0005 ? [sayFigure(m, value)] : [];
  });
  return said.join(', ') || (isRepeated(layer.placement) ? 'repeated' : 'nothing lost');
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
  const isMeasured = useIsMeasured(documents);
  const differences = useMemo(() => {
    const [is, was] = [judgedOf(result, layerId), judgedOf(now, layerId)];
    const said = is && was ? changes(is, was).flatMap(({ measure, by }) => sayChange(measure, by) ?? []) : [];
    // Bare parts of the box and of the screen are often the same.
    return [...new Set(said)];
  }, [result, now, layerId]);
  if (!result) return <td />;
  const { width, height } = result.regions.screen;
  const own = judgedOf(result, layerId);
  const breach = gravest(own?.breaches ?? []);
  const outcome = isMeasured ? outcomeOf(own?.breaches ?? []) : null;
  const figure = breach ? sayFigure(breach.limit.measure, breach.value) : own && sayLosses(own);
  return (
    <td>
      <button
        type="button"
        className="fits-cell"
        aria-label={`Open ${caseName(shown)}: ${outcome ?? 'being measured'}`}
        onClick={() => openCase(store, shown.id)}
      >
        <CaseCanvas result={result} scale={ROOM / Math.max(width, height)} />
      </button>
      <span className="figures">
        {outcome ? (
          <>
            <b className={`outcome-${outcome}`}>{OUTCOME_SHAPES[outcome]}</b> {figure}
          </>
        ) : (
          'measuring…'
        )}
      </span>
      {isMeasured && differences.length > 0 && (
        <span className="figures quiet fits-changes" title={differences.join(', ')}>
          {differences.slice(0, MOST_SAID).map((said, i) => (
            <span key={said}>
              {said}
              {i < Math.min(differences.length, MOST_SAID) - 1 && ','}
            </span>
          ))}
        </span>
      )}
    </td>
  );
}
