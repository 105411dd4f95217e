'use client';
import { useEffect, useState } from 'react';

/** A value as it was when it last stood still: for what takes too long to follow every step of a drag. */
export function useSettled<T>(value: T, afterMs = 200): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(() => value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return settled;
}
