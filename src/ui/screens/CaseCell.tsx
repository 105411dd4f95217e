'use client';
import { memo, useMemo } from 'react';
import type { Case } from '@/core/screens/cases';
import { hasToJudge } from '@/core/scene/layers';
import { isCounted } from '@/core/screens/counted';
import { turn } from '@/core/screens/turn';
import { summarise, type CaseSummary } from '@/core/solve/summary';
import { ownerName } from '@/core/measure/words';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useCaseResult } from '../state/case-result';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { useIsMeasured } from '../state/outside';
import { sceneOf } from '../state/workbench';
import { caseName, caseSize, caseText, OUTCOME_SHAPES } from '../words';
import { sayAlike } from '../state/arrange';
import { Guides } from './Guides';
import { useInView } from '../drawing/useInView';

interface Props {
  shown: Case;
  /** number of other cases that this one stands for */
  alike: number;
  scale: number;
  /** what stands for its size, where that is not how it is called */
  size?: string;
  selected: boolean;
  /** whether Tab leads to it */
  isStop: boolean;
  onSelect: (id: string) => void;
}

/** Why nothing is said of a case: it lies outside what the project allows, or the scene shows nothing; else `null`. */
const useUnjudged = (shown: Case): string | null =>
  useWorkbench((s) => {
    if (!isCounted(shown, s.documents.project.ratios)) return 'not counted';
    return hasToJudge(sceneOf(s)!) ? null : 'nothing to judge yet';
  });

interface CaptionProps {
  summary: CaseSummary | undefined;
  layerName: string | undefined;
  /** why nothing is said of it */
  unjudged: string | null;
  /** all of it in one sentence */
  text: string;
  size: string;
}

/** What is worst on a case, and its size. */
function Caption({ summary, layerName, unjudged, text, size }: CaptionProps) {
  const headline = summary?.headline;
  return (
    <span className="case-caption figures" title={text}>
      {summary ? (
        <b className={`outcome-${summary.outcome}`}>
          {OUTCOME_SHAPES[summary.outcome]} {headline ? `${layerName}: ${headline.words}` : 'nothing lost'}
        </b>
      ) : (
        <span className="quiet">{unjudged ?? 'measuring…'}</span>
      )}
      <span className="case-size">{size}</span>
    </span>
  );
}

/**
 * One case of the field: drawn and measured in the same frame while it is in view; its size is kept while not.
 */
export const CaseCell = memo(function CaseCell(props: Props) {
  const { shown, alike, scale, selected, isStop, onSelect } = props;
  const [ref, inView] = useInView<HTMLDivElement>();
  // Out of view nothing is drawn, and a change of the documents is not even heard of.
  const documents = useWorkbench((s) => (inView ? s.documents : null));
  const guides = useWorkbench((s) => s.view.guides);
  // What the worker said of an earlier state is not said of this one.
  const known = useWorkbench((s) => {
    if (!inView) return s.rested.get(shown.id);
    return s.surveyed === s.documents ? s.summaries.get(shown.id) : undefined;
  });
  const result = useCaseResult(shown, documents);
  const isMeasured = useIsMeasured(documents);
  const unjudged = useUnjudged(shown);
  const summary = useMemo(
    () => (unjudged !== null ? undefined : result && isMeasured ? summarise(result) : known),
    [unjudged, result, isMeasured, known],
  );
  const layers = sceneOf(useWorkbenchStore().getState())?.layers;
  const layerName = summary?.headline ? ownerName(summary.headline.layerId, layers ?? []) : undefined;
  const text = unjudged !== null ? `${caseName(shown)}: ${unjudged}` : caseText(shown, summary, layerName);
  const { size } = turn(shown.screen, shown.rotation);

  return (
    <div
      ref={ref}
      role="gridcell"
      className="case"
      id={`case-${shown.id}`}
      data-case={shown.id}
      data-shows={shown.screen.shows}
      aria-selected={selected}
      aria-label={text}
      tabIndex={isStop ? 0 : -1}
      onClick={() => onSelect(shown.id)}
      onFocus={() => onSelect(shown.id)}
    >
      {result ? (
        <CaseCanvas result={result} scale={scale}>
          {guides && <Guides result={result} />}
        </CaseCanvas>
      ) : (
        <span className="glass" style={{ width: size.width * scale, height: size.height * scale }} />
      )}
      <Caption
        {...{ summary, layerName, unjudged, text }}
        size={[props.size ?? caseSize(shown), sayAlike(alike)].filter(Boolean).join(' · ')}
      />
    </div>
  );
});
