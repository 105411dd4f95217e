'use client';
import type { PointerEvent } from 'react';
import { usePlotArea, useYAxisInverseScale, useYAxisScale } from 'recharts';
import { sayShare } from '@/core/words/numbers';
import type { Limit } from '@/core/measure/limit';
import { GripKnob } from '../parts/GripKnob';
import { useGrip } from '../parts/pointing';
import { useLimit, WORDS, type ValleyProps } from './limits';

const STEPS: Record<string, number> = { ArrowUp: 0.01, ArrowDown: -0.01, PageUp: 0.1, PageDown: -0.1 };

interface Props extends Pick<ValleyProps, 'measure'> {
  limits: readonly Limit[];
}

interface LineProps {
  limit: Limit;
  measure: Props['measure'];
  plot: NonNullable<ReturnType<typeof usePlotArea>>;
  /** px from the top of the chart */
  y: number;
  lossAt: (y: number) => number;
}

/** One limit: dragged, or moved with the arrow keys. */
function LimitLine({ limit: { outcome, max = 0 }, measure, plot, y, lossAt }: LineProps) {
  const { set, onCommit } = useLimit(measure);
  const onDrag = (e: PointerEvent<SVGGElement>) => {
    const top = e.currentTarget.ownerSVGElement!.getBoundingClientRect().top;
    set(outcome, lossAt(Math.min(plot.y + plot.height, Math.max(plot.y, e.clientY - top))));
  };
  const onStep = (step: number) => set(outcome, max + step);
  const grip = useGrip({ steps: STEPS, onDrag, onStep, onCommit });
  return (
    <g
      className={`chart-limit outcome-${outcome}`}
      {...grip}
      aria-orientation="vertical"
      aria-label={`${WORDS[measure]} from which it is a ${outcome === 'fail' ? 'failure' : 'warning'}`}
      aria-valuenow={Math.round(max * 1000) / 10}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuetext={sayShare(max)}
      transform={`translate(${plot.x} ${y})`}
    >
      <line x2={plot.width} />
      <rect className="chart-limit-grip" y={-6} width={plot.width} height={12} />
      <GripKnob x={plot.width - 18} y={0} />
    </g>
  );
}

/** The limits of a measure on the chart, dragged as on the strip or moved with the arrow keys. */
export function LimitLines({ limits, measure }: Props) {
  const plot = usePlotArea();
  const yOf = useYAxisScale();
  const inverse = useYAxisInverseScale();
  if (!plot || !yOf || !inverse) return null;
  return limits.map((limit) => (
    <LimitLine
      key={limit.outcome}
      {...{ limit, measure, plot }}
      y={yOf(limit.max ?? 0) ?? plot.y}
      lossAt={(y) => Number(inverse(y))}
    />
  ));
}
