'use client';
import { useEffect, useRef, useState } from 'react';

/** Whether an element is in view or nearly so; stays false until that is known. */
export function useInView<E extends Element>(): [React.RefObject<E | null>, boolean] {
  const ref = useRef<E>(null);
  const [inView, setInView] = useState(false);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new IntersectionObserver(
      (entries) => setInView(entries.at(-1)?.isIntersecting ?? false),
      { rootMargin: '60px' },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, inView];
}
