'use client';
import type { PointerEvent } from 'react';
import { usePlotArea, useXAxisInverseScale, useXAxisScale } from 'recharts';
import { sayRatio } from '@/core/words/numbers';
import { HANDLE, useGrip } from '../parts/pointing';
import { useAllowed, type Range } from './allowed';

type PlotArea = NonNullable<ReturnType<typeof usePlotArea>>;

const STEPS: Record<string, number> = {
  ArrowLeft: 1 / 1.01,
  ArrowRight: 1.01,
  PageDown: 1 / 1.1,
  PageUp: 1.1,
};
const NAMES = { low: 'Least ratio allowed', high: 'Greatest ratio allowed' } as const;

interface BoundProps {
  bound: keyof Range;
  whole: Range;
  plot: PlotArea;
  /** px from the left of the chart */
  at: number;
  ratioAt: (x: number) => number;
}

/** One end of what is allowed: dragged, or moved with the arrow keys. */
function Bound({ bound, whole, plot, at, ratioAt }: BoundProps) {
  const { allowed, set, onCommit } = useAllowed(whole);
  const middle = plot.height / 2;
  const onDrag = (e: PointerEvent<SVGGElement>) => {
    const left = e.currentTarget.ownerSVGElement!.getBoundingClientRect().left;
    set(bound, ratioAt(Math.min(plot.x + plot.width, Math.max(plot.x, e.clientX - left))));
  };
  const onStep = (step: number) => set(bound, allowed[bound] * step);
  const grip = useGrip({ steps: STEPS, onDrag, onStep, onCommit });
  return (
    <g
      className="allowed-bound"
      {...grip}
      aria-label={NAMES[bound]}
      aria-valuenow={allowed[bound]}
      aria-valuemin={0.05}
      aria-valuemax={20}
      aria-valuetext={`${sayRatio(allowed[bound])}, width ÷ height`}
      transform={`translate(${at} ${plot.y})`}
    >
      <line y1={0} y2={plot.height} />
      <rect className="allowed-grip" x={-9} y={0} width={18} height={plot.height} />
      <rect className="allowed-knob" {...HANDLE} x={-14} y={middle - 22} width={28} height={44} />
      <path d={`M-6 ${middle - 9}h12v18h-12z M-2 ${middle - 4}v8 M2 ${middle - 4}v8`} />
    </g>
  );
}

/** The two ends of what the project allows, on the chart: dragged, or moved with the arrow keys. */
export function AllowedBounds({ whole }: { whole: Range }) {
  const plot = usePlotArea();
  const xOf = useXAxisScale();
  const inverse = useXAxisInverseScale();
  const { allowed } = useAllowed(whole);
  if (!plot || !xOf || !inverse) return null;
  const right = plot.x + plot.width;
  const at = { low: xOf(allowed.low) ?? plot.x, high: xOf(allowed.high) ?? right };
  const { y, height } = plot;
  return (
    <g>
      <rect className="not-allowed" {...{ y, height }} x={plot.x} width={Math.max(0, at.low - plot.x)} />
      <rect className="not-allowed" {...{ y, height }} x={at.high} width={Math.max(0, right - at.high)} />
      {(['low', 'high'] as const).map((bound) => (
        <Bound key={bound} {...{ bound, whole, plot }} at={at[bound]} ratioAt={(x) => Number(inverse(x))} />
      ))}
    </g>
  );
}
