'use client';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { usePlotArea, useXAxisInverseScale, useXAxisScale } from 'recharts';
import { sayRatio } from '@/core/words/numbers';
import { useAllowed, type Range } from './allowed';

const STEPS: Record<string, number> = {
  ArrowLeft: 1 / 1.01,
  ArrowRight: 1.01,
  PageDown: 1 / 1.1,
  PageUp: 1.1,
};
const NAMES = { low: 'Least ratio allowed', high: 'Greatest ratio allowed' } as const;

/** The two ends of what the project allows, on the chart: dragged, or moved with the arrow keys. */
export function AllowedBounds({ whole }: { whole: Range }) {
  const plot = usePlotArea();
  const xOf = useXAxisScale();
  const ratioAt = useXAxisInverseScale();
  const { allowed, set, onCommit } = useAllowed(whole);
  const [dragged, setDragged] = useState<keyof Range | null>(null);
  if (!plot || !xOf || !ratioAt) return null;
  const at = { low: xOf(allowed.low) ?? plot.x, high: xOf(allowed.high) ?? plot.x + plot.width };
  const right = plot.x + plot.width;

  const onMove = (bound: keyof Range) => (e: PointerEvent<SVGGElement>) => {
    if (dragged !== bound) return;
    const left = e.currentTarget.ownerSVGElement!.getBoundingClientRect().left;
    set(bound, Number(ratioAt(Math.min(right, Math.max(plot.x, e.clientX - left)))));
  };
  const onKeyDown = (bound: keyof Range) => (e: KeyboardEvent) => {
    const step = STEPS[e.key];
    if (!step) return;
    e.preventDefault();
    set(bound, allowed[bound] * step);
  };
  return (
    <g>
      <rect
        className="not-allowed"
        x={plot.x}
        y={plot.y}
        width={Math.max(0, at.low - plot.x)}
        height={plot.height}
      />
      <rect
        className="not-allowed"
        x={at.high}
        y={plot.y}
        width={Math.max(0, right - at.high)}
        height={plot.height}
      />
      {(['low', 'high'] as const).map((bound) => (
        <g
          key={bound}
          className="allowed-bound"
          role="slider"
          tabIndex={0}
          aria-label={NAMES[bound]}
          aria-valuenow={allowed[bound]}
          aria-valuemin={0.05}
          aria-valuemax={20}
          aria-valuetext={`${sayRatio(allowed[bound])}, width ÷ height`}
          transform={`translate(${at[bound]} ${plot.y})`}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId);
            setDragged(bound);
          }}
          onPointerMove={onMove(bound)}
          onPointerUp={() => {
            setDragged(null);
            onCommit();
          }}
          onKeyDown={onKeyDown(bound)}
          onKeyUp={(e) => {
            if (STEPS[e.key]) onCommit();
          }}
        >
          <line y1={0} y2={plot.height} />
          <rect className="allowed-grip" x={-9} y={0} width={18} height={plot.height} />
          <path
            d={`M-6 ${plot.height / 2 - 9}h12v18h-12z M-2 ${plot.height / 2 - 4}v8 M2 ${plot.height / 2 - 4}v8`}
          />
        </g>
      ))}
    </g>
  );
}
