'use client';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';

/** Marks what a finger may drag. Its CSS keeps the browser from scrolling by it (`touch-action: none`). */
export const HANDLE = { 'data-handle': '' } as const;

/** A mouse does not scroll by dragging, a finger or a pen does. */
const scrolls = ({ pointerType }: PointerEvent) => pointerType !== 'mouse';

/** Whether a press takes hold of something: a mouse does anywhere, a finger on a handle alone, as elsewhere it scrolls. */
export const takesHold = (e: PointerEvent): boolean =>
  !scrolls(e) || (e.target as Element).closest('[data-handle]') !== null;

/**
 * What a pointer does along a track while it is pressed: called where it was pressed, and wherever it goes. A finger is heard
 * once it goes along the track, or is lifted where it was put down: until then it may be about to scroll. The CSS of the
 * track leaves scrolling across it to the browser (`touch-action: pan-y`).
 */
export const whilePressed = (move: (e: PointerEvent) => void) => ({
  onPointerDown: (e: PointerEvent) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    if (!scrolls(e)) move(e);
  },
  onPointerMove: (e: PointerEvent) => {
    if (e.buttons === 1) move(e);
  },
  onPointerUp: (e: PointerEvent) => {
    if (scrolls(e)) move(e);
  },
});

interface Grip {
  /** by how much each key goes on */
  steps: Readonly<Record<string, number>>;
  onDrag: (e: PointerEvent<SVGGElement>) => void;
  onStep: (step: number, e: KeyboardEvent) => void;
  /** once the pointer, or the key, is let go */
  onCommit: () => void;
}

/** A value on a chart that is taken hold of: dragged, or moved with keys. It stays where it is until it is moved. */
export function useGrip({ steps, onDrag, onStep, onCommit }: Grip) {
  const [isDragged, setDragged] = useState(false);
  const letGo = () => {
    setDragged(false);
    onCommit();
  };
  return {
    role: 'slider',
    tabIndex: 0,
    onPointerDown: (e: PointerEvent<SVGGElement>) => {
      if (!takesHold(e)) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      setDragged(true);
    },
    onPointerMove: (e: PointerEvent<SVGGElement>) => {
      if (isDragged) onDrag(e);
    },
    onPointerUp: letGo,
    onPointerCancel: letGo,
    onKeyDown: (e: KeyboardEvent) => {
      const step = steps[e.key];
      if (!step) return;
      e.preventDefault();
      onStep(step, e);
    },
    onKeyUp: (e: KeyboardEvent) => {
      if (steps[e.key]) onCommit();
    },
  };
}
