import { useRef, useState, type PointerEvent } from 'react';
import type { Size } from '@/core/geometry/rect';
import type { CaseResult } from '@/core/survey/survey';
import { CaseCanvas } from '../drawing/CaseCanvas';
import { useElementSize } from '../drawing/useElementSize';
import { whilePressed } from '../parts/pointing';
import type { View } from '../state/view';

interface StageProps {
  left: CaseResult;
  right: CaseResult;
  layout: View['layout'];
}

interface OverProps extends Pick<StageProps, 'left' | 'right'>, Size {
  scale: number;
  /** where the divider is, % of the width */
  at: number;
  onAt: (at: number) => void;
}

/** The right drawing over the left one, up to a divider that is dragged, or moved with the arrow keys. */
function Over({ left, right, scale, width, height, at, onAt }: OverProps) {
  const moveTo = (e: PointerEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    onAt(Math.min(100, Math.max(0, ((e.clientX - box.left) / box.width) * 100)));
  };
  return (
    <div className="pair-over" style={{ width, height }} {...whilePressed(moveTo)}>
      <div style={{ clipPath: `inset(0 ${100 - at}% 0 0)` }}>
        <CaseCanvas result={left} scale={scale} />
      </div>
      <div style={{ clipPath: `inset(0 0 0 ${at}%)` }}>
        <CaseCanvas result={right} scale={scale} />
      </div>
      <span className="pair-divider" style={{ left: `${at}%` }} />
      <input
        type="range"
        className="pair-range"
        aria-label="Divider"
        min={0}
        max={100}
        value={at}
        onChange={(e) => onAt(Number(e.target.value))}
      />
    </div>
  );
}

/** Both drawings at one scale: beside each other, or the right one over the left one up to a divider. */
export function PairStage({ left, right, layout }: StageProps) {
  const ref = useRef<HTMLDivElement>(null);
  const room = useElementSize(ref);
  // Kept while both lie beside each other.
  const [at, setAt] = useState(50);
  const [a, b] = [left.regions.screen, right.regions.screen];
  const [widest, highest] = [Math.max(a.width, b.width), Math.max(a.height, b.height)];
  const across = layout === 'beside' ? a.width + b.width : widest;
  const scale = Math.max(
    0.02,
    Math.min((room.width - 24) / across, (room.height - (layout === 'over' ? 36 : 8)) / highest),
  );
  return (
    <div className="pair-stage" ref={ref}>
      {room.width > 0 && layout === 'beside' && (
        <div className="pair-beside">
          <CaseCanvas result={left} scale={scale} />
          <CaseCanvas result={right} scale={scale} />
        </div>
      )}
      {room.width > 0 && layout === 'over' && (
        <Over {...{ left, right, scale, at }} onAt={setAt} width={widest * scale} height={highest * scale} />
      )}
    </div>
  );
}
