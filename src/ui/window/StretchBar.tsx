'use client';
import type { KeyboardEvent, PointerEvent } from 'react';
import { sayNumber } from '@/core/words/numbers';
import type { Stretch } from '@/core/solve/stretches';
import { whilePressed } from '../parts/pointing';

interface Props {
  /** “Width” or “Height” */
  label: string;
  value: number;
  range: { low: number; high: number };
  stretches: readonly Stretch[];
  onChange: (value: number) => void;
}

const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageDown: -50, PageUp: 50 };

/** The stretches in a row, with the present size as a handle: dragged, or moved with the arrow keys. */
function Track({ label, value, range: { low, high }, stretches, onChange }: Props) {
  const share = (lu: number) => ((lu - low) / (high - low)) * 100;
  const clamp = (lu: number) => Math.round(Math.min(high, Math.max(low, lu)));
  const moveTo = (e: PointerEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    onChange(clamp(low + ((e.clientX - box.left) / box.width) * (high - low)));
  };
  const onKeyDown = (e: KeyboardEvent) => {
    const step = STEPS[e.key];
    if (!step) return;
    e.preventDefault();
    onChange(clamp(value + step * (e.shiftKey ? 10 : 1)));
  };
  return (
    <div className="stretch-track" {...whilePressed(moveTo)}>
      {stretches.map((s) => (
        <span
          key={s.from}
          className={`stretch stretch-${s.outcome}`}
          style={{ left: `${share(s.from)}%`, width: `${share(s.to) - share(s.from)}%` }}
          title={`${sayNumber(s.from)} to ${sayNumber(s.to)} lu: ${s.outcome}`}
        />
      ))}
      <span
        className="stretch-handle"
        role="slider"
        tabIndex={0}
        aria-label={`${label} of the free window`}
        aria-valuemin={low}
        aria-valuemax={high}
        aria-valuenow={value}
        aria-valuetext={`${sayNumber(value)} lu`}
        style={{ left: `${share(value)}%` }}
        onKeyDown={onKeyDown}
      />
    </div>
  );
}

/** Sizes along one axis, coloured and hatched by their outcome, with the present one as a handle. */
export function StretchBar(props: Props) {
  const { label, value, range } = props;
  return (
    <div className="stretch-bar">
      <span className="choices-label">
        {label} <b className="figures">{sayNumber(value)} lu</b>
      </span>
      <Track {...props} />
      <span className="stretch-ends figures quiet">
        <span>{range.low}</span>
        <span>{range.high} lu</span>
      </span>
    </div>
  );
}
