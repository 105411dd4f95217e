'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Rect } from '@/core/geometry/rect';
import { movedArea, resizedArea } from '@/core/pictures/areas';
import type { KeepArea } from '@/core/pictures/picture';

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-0.01, 0],
  ArrowRight: [0.01, 0],
  ArrowUp: [0, -0.01],
  ArrowDown: [0, 0.01],
};

/** Shares of the picture as they are laid over it. */
export const laidOver = (r: Rect) => ({
  left: `${r.x * 100}%`,
  top: `${r.y * 100}%`,
  width: `${r.width * 100}%`,
  height: `${r.height * 100}%`,
});

interface Props {
  area: KeepArea;
  /** the picture that it lies on, for the size of a drag */
  around: () => DOMRect;
  onChange: (rect: Rect) => void;
  onCommit: () => void;
}

/** What a pointer does to an area: pressed on it, it moves it; at its far corner, it resizes it. */
function useDrag({ area, around, onChange, onCommit }: Props) {
  const drag = useRef<{ x: number; y: number; rect: Rect; corner: boolean } | null>(null);
  const start = (event: PointerEvent<HTMLElement>, corner: boolean) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, y: event.clientY, rect: area.rect, corner };
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!drag.current) return;
    event.stopPropagation();
    const { width, height } = around();
    const by = {
      x: (event.clientX - drag.current.x) / width,
      y: (event.clientY - drag.current.y) / height,
    };
    onChange((drag.current.corner ? resizedArea : movedArea)(drag.current.rect, by));
  };
  const onPointerUp = (event: PointerEvent) => {
    event.stopPropagation();
    drag.current = null;
    onCommit();
  };
  return (corner: boolean) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => start(event, corner),
    onPointerMove,
    onPointerUp,
  });
}

/** A keep area on its picture: dragged to move it, at its far corner to resize it, or with the arrow keys. */
export function AreaBox(props: Props) {
  const { area, onChange, onCommit } = props;
  const dragged = useDrag(props);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const [x, y] = step;
    onChange((event.shiftKey ? resizedArea : movedArea)(area.rect, { x, y }));
  };
  return (
    <div
      className="mark-area"
      style={laidOver(area.rect)}
      role="button"
      tabIndex={0}
      aria-label={`${area.subject}. Arrow keys move it, with Shift they resize it.`}
      {...dragged(false)}
      onKeyDown={onKeyDown}
      onKeyUp={(e) => {
        if (STEPS[e.key]) onCommit();
      }}
    >
      <span className="mark-name">{area.subject}</span>
      <span className="mark-corner" {...dragged(true)} />
    </div>
  );
}
