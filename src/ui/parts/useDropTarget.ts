'use client';
import { useState, type DragEvent } from 'react';

/**
 * Makes an element a place to drop files on.
 * @param onDrop hears what was dropped, while the event is handled
 * @returns whether something is held over it just now, and what the element takes
 */
export function useDropTarget(onDrop: (dropped: DataTransfer) => void) {
  const [over, setOver] = useState(false);
  return {
    over,
    target: {
      onDragOver: (e: DragEvent) => {
        e.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (e: DragEvent) => {
        e.preventDefault();
        setOver(false);
        onDrop(e.dataTransfer);
      },
    },
  };
}
