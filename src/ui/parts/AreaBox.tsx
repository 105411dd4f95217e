'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Rect } from '@/core/geometry/rect';
import { movedArea, resizedArea } from '@/core/pictures/areas';

/** By how many steps each key goes on, across and down. */
const KEYS: Partial<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const STEP = { x: 0.01, y: 0.01 };

/** Shares of the picture as they are laid over it. */
export const laidOver = (r: Rect) => ({
  left: `${r.x * 100}%`,
  top: `${r.y * 100}%`,
  width: `${r.width * 100}%`,
  height: `${r.height * 100}%`,
});

interface Props {
  name: string;
  /** shares of the picture, 0..1 */
  rect: Rect;
  onChange: (rect: Rect) => void;
  /** once it is let go */
  onCommit?: () => void;
  /** shares of the picture by which a key moves it */
  step?: { x: number; y: number };
  className?: string;
  /** shown on it, unless its name only says what it is */
  isNamed?: boolean;
}

/** What a pointer does to an area: pressed on it, it moves it; at its far corner, which lies on it, it resizes it. */
function useDrag({ rect, onChange, onCommit }: Props) {
  const drag = useRef<{ x: number; y: number; rect: Rect; corner: boolean } | null>(null);
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const corner = event.target !== event.currentTarget;
    drag.current = { x: event.clientX, y: event.clientY, rect, corner };
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (!drag.current) return;
    event.stopPropagation();
    const { width, height } = event.currentTarget.parentElement!.getBoundingClientRect();
    const by = {
      x: (event.clientX - drag.current.x) / width,
      y: (event.clientY - drag.current.y) / height,
    };
    onChange((drag.current.corner ? resizedArea : movedArea)(drag.current.rect, by));
  };
  const onPointerUp = (event: PointerEvent) => {
    event.stopPropagation();
    drag.current = null;
    onCommit?.();
  };
  return { onPointerDown, onPointerMove, onPointerUp };
}

/** An area right in the element of its picture, which it stays within: dragged to move it, at its far corner to resize it, or with the arrow keys. */
export function AreaBox(props: Props) {
  const { name, rect, onChange, onCommit, step = STEP, className = 'mark-area', isNamed = true } = props;
  const dragged = useDrag(props);
  const said = `${name}. Arrow keys move it, with Shift they resize it.`;
  const onKeyDown = (event: KeyboardEvent) => {
    const steps = KEYS[event.key];
    if (!steps) return;
    event.preventDefault();
    const by = { x: steps[0] * step.x, y: steps[1] * step.y };
    onChange((event.shiftKey ? resizedArea : movedArea)(rect, by));
  };
  return (
    <div
      className={`area-box ${className}`}
      style={laidOver(rect)}
      role="button"
      tabIndex={0}
      aria-label={said}
      title={isNamed ? undefined : said}
      {...dragged}
      onKeyDown={onKeyDown}
      onKeyUp={(e) => {
        if (KEYS[e.key]) onCommit?.();
      }}
    >
      {isNamed && <span className="mark-name">{name}</span>}
      <span className="mark-corner" />
    </div>
  );
}
