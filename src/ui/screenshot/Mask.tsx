'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Rect, Size } from '@/core/geometry/rect';

/** lu by which an arrow key moves what is left out. */
const STEP = 4;
/** lu that it has at least, and CSS px of its corner by which it is made larger. */
const LEAST = 4;
const CORNER = 14;
const KEYS: Partial<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

interface Props {
  rect: Rect;
  /** of the screen, lu */
  size: Size;
  label: string;
  onChange: (rect: Rect) => void;
}

const moved = (rect: Rect, x: number, y: number): Rect => ({ ...rect, x: rect.x + x, y: rect.y + y });
const grown = (rect: Rect, x: number, y: number): Rect => ({
  ...rect,
  width: Math.max(LEAST, rect.width + x),
  height: Math.max(LEAST, rect.height + y),
});
const share = (part: number, whole: number) => `${(100 * part) / whole}%`;

/** A part that is left out: dragged, or moved by arrow keys; its lower right corner, or Shift, makes it larger. */
export function Mask({ rect, size, label, onChange }: Props) {
  const from = useRef<{ x: number; y: number; rect: Rect; change: typeof moved } | null>(null);
  const start = (e: PointerEvent<HTMLButtonElement>) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    const box = e.currentTarget.getBoundingClientRect();
    const isCorner = box.right - e.clientX < CORNER && box.bottom - e.clientY < CORNER;
    from.current = { x: e.clientX, y: e.clientY, rect, change: isCorner ? grown : moved };
  };
  const drag = (e: PointerEvent<HTMLButtonElement>) => {
    if (!from.current) return;
    const lu = size.width / e.currentTarget.parentElement!.clientWidth;
    const { x, y, rect: was, change } = from.current;
    onChange(change(was, Math.round((e.clientX - x) * lu), Math.round((e.clientY - y) * lu)));
  };
  const press = (e: KeyboardEvent) => {
    const by = KEYS[e.key];
    if (!by) return;
    e.preventDefault();
    onChange((e.shiftKey ? grown : moved)(rect, ...by));
  };
  return (
    <button
      type="button"
      className="shot-mask"
      aria-label={label}
      title={`${label}: drag it, or its lower right corner; arrow keys move it, with Shift they make it larger`}
      style={{
        left: share(rect.x, size.width),
        top: share(rect.y, size.height),
        width: share(rect.width, size.width),
        height: share(rect.height, size.height),
      }}
      onPointerDown={start}
      onPointerMove={drag}
      onPointerUp={() => (from.current = null)}
      onKeyDown={press}
    />
  );
}
