'use client';
import { sayRatio, sayShare } from '@/core/words/numbers';
import type { Outcome } from '@/core/measure/judge';
import type { ValleyMeasure } from '@/core/solve/valley';
import type { Mark } from '@/core/solve/mark';
import { GripKnob } from '../parts/GripKnob';
import { WORDS } from './limits';
import { MarkShape } from '../parts/MarkShape';
import { xOf, yOf, type ValleyScale } from './scale';

/** A window of any size, as the strip shows it. */
export interface StripWindow {
  /** width ÷ height */
  ratio: number;
  /** of the background; `null` where it has no place on the valley */
  mark: Mark | null;
  outcome: Outcome;
  /** ratios at which anything begins or ends to be wrong while its width changes */
  changes: readonly number[];
  /** gives it another ratio by its width */
  onRatio: (ratio: number) => void;
}

interface Props {
  window: StripWindow;
  measure: ValleyMeasure;
  scale: ValleyScale;
}

/** Where a free window stands on the valley, and where its outcome changes with its width. */
export function WindowOnStrip({ window: { ratio, mark, outcome, changes }, measure, scale }: Props) {
  const foot = scale.height - 14;
  const within = (r: number) => r >= scale.low && r <= scale.high;
  const x = xOf(scale, Math.min(scale.high, Math.max(scale.low, ratio)));
  const loss = mark ? mark.losses[measure] : null;
  const said = loss === null ? outcome : `${WORDS[measure]} ${sayShare(loss)}, ${outcome}`;
  return (
    <g className="valley-window">
      {changes.filter(within).map((r) => (
        <path key={r} className="valley-change" d={`M${xOf(scale, r)} 0v7`}>
          <title>{`At ${sayRatio(r)} something changes`}</title>
        </path>
      ))}
      <line x1={x} x2={x} y1={0} y2={foot} />
      <GripKnob x={x} y={foot - 10} />
      {mark && loss !== null && within(ratio) && (
        <MarkShape
          x={x}
          y={yOf(scale, loss)}
          outcome={mark.outcomes[measure]}
          failsBesides={mark.besides[measure] === 'fail'}
          solid={mark.solid}
          title={`Free window, ratio ${sayRatio(ratio)}: ${said}`}
          chosen
        />
      )}
    </g>
  );
}
