'use client';
import { useEffect, useState, type RefObject } from 'react';

/** Before it is known. */
const USUAL = 640;

/** Width of an element in CSS px, as it is now. */
export function useWidth(ref: RefObject<Element | null>): number {
  const [width, setWidth] = useState(USUAL);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.max(1, entry.contentRect.width));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return width;
}
