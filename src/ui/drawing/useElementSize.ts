'use client';
import { useLayoutEffect, useState, type RefObject } from 'react';

/** Size of an element in CSS px, as it is now; 0 × 0 before it is known. */
export function useElementSize(ref: RefObject<Element | null>): { width: number; height: number } {
  const [size, setSize] = useState({ width: 0, height: 0 });
  // Before anything is painted: what is drawn by it is never seen at another size.
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const style = getComputedStyle(element);
    const inside = (a: string, b: string) => parseFloat(a) + parseFloat(b);
    setSize({
      width: element.clientWidth - inside(style.paddingLeft, style.paddingRight),
      height: element.clientHeight - inside(style.paddingTop, style.paddingBottom),
    });
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [ref]);
  return size;
}
