'use client';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { usePlotArea, useYAxisInverseScale, useYAxisScale } from 'recharts';
import { sayShare } from '@/core/words/numbers';
import type { Limit } from '@/core/measure/limit';
import { useLimit, WORDS, type ValleyProps } from './limits';

const STEPS: Record<string, number> = { ArrowUp: 0.01, ArrowDown: -0.01, PageUp: 0.1, PageDown: -0.1 };

interface Props extends Pick<ValleyProps, 'measure'> {
  limits: readonly Limit[];
}

/** The limits of a measure on the chart, dragged as on the strip or moved with the arrow keys. */
export function LimitLines({ limits, measure }: Props) {
  const plot = usePlotArea();
  const yOf = useYAxisScale();
  const lossAt = useYAxisInverseScale();
  const { set, onCommit } = useLimit(measure);
  const [dragged, setDragged] = useState<string | null>(null);
  if (!plot || !yOf || !lossAt) return null;
  const onMove = (outcome: string) => (e: PointerEvent<SVGGElement>) => {
    if (dragged !== outcome) return;
    const top = e.currentTarget.ownerSVGElement!.getBoundingClientRect().top;
    const y = Math.min(plot.y + plot.height, Math.max(plot.y, e.clientY - top));
    set(outcome, Number(lossAt(y)));
  };
  const onKeyDown = (outcome: string, max: number) => (e: KeyboardEvent) => {
    const step = STEPS[e.key];
    if (!step) return;
    e.preventDefault();
    set(outcome, max + step);
  };
  return limits.map(({ outcome, max = 0 }) => (
    <g
      key={outcome}
      className={`chart-limit outcome-${outcome}`}
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={`${WORDS[measure]} from which it is a ${outcome === 'fail' ? 'failure' : 'warning'}`}
      aria-valuenow={Math.round(max * 1000) / 10}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuetext={sayShare(max)}
      transform={`translate(${plot.x} ${yOf(max) ?? plot.y})`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        setDragged(outcome);
      }}
      onPointerMove={onMove(outcome)}
      onPointerUp={() => {
        setDragged(null);
        onCommit();
      }}
      onKeyDown={onKeyDown(outcome, max)}
      onKeyUp={(e) => {
        if (STEPS[e.key]) onCommit();
      }}
    >
      <line x2={plot.width} />
      <rect className="chart-limit-grip" y={-6} width={plot.width} height={12} />
    </g>
  ));
}
