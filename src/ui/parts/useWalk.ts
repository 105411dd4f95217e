'use client';
import type { KeyboardEvent, RefObject } from 'react';
import { isMove, walk } from './walk';

/**
 * Arrow keys that go from case to case as they lie.
 * @param ref what holds the cases @param stop the case that has the focus, or is the one that Tab leads to
 */
export function useWalk(ref: RefObject<HTMLElement | null>, stop: string | undefined) {
  return (event: KeyboardEvent) => {
    if (!isMove(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
    const elements = [...(ref.current?.querySelectorAll<HTMLElement>('[data-case]') ?? [])];
    const boxes = elements.map((e) => {
      const { left, top, width, bottom } = e.getBoundingClientRect();
      return { id: e.dataset.case!, left, top, width, bottom };
    });
    const next = walk(boxes, stop, event.key);
    event.preventDefault();
    elements.find((e) => e.dataset.case === next)?.focus();
  };
}
