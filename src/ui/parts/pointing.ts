'use client';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';

/** What a pointer does to an element while it is pressed: called where it was pressed, and wherever it goes. */
export const whilePressed = (move: (e: PointerEvent) => void) => ({
  onPointerDown: (e: PointerEvent) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    move(e);
  },
  onPointerMove: (e: PointerEvent) => {
    if (e.buttons === 1) move(e);
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
  return {
    role: 'slider',
    tabIndex: 0,
    onPointerDown: (e: PointerEvent<SVGGElement>) => {
      e.currentTarget.setPointerCapture(e.pointerId);
      setDragged(true);
    },
    onPointerMove: (e: PointerEvent<SVGGElement>) => {
      if (isDragged) onDrag(e);
    },
    onPointerUp: () => {
      setDragged(false);
      onCommit();
    },
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
