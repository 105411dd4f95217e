'use client';
import { useCallback, useEffect, useState } from 'react';
import type { ImportItem } from './items';

const SETTLED_MS = 8000;

/** The list of what is taken in; one on which all went well puts itself away, one with something to read stays. */
export function useItems() {
  const [items, setItems] = useState<ImportItem[]>([]);
  const update = useCallback(
    (id: string, change: Partial<ImportItem>) =>
      setItems((list) => list.map((i) => (i.id === id ? { ...i, ...change } : i))),
    [],
  );
  const add = useCallback((added: readonly ImportItem[]) => setItems((list) => [...list, ...added]), []);
  const clear = useCallback(() => setItems([]), []);
  const settled =
    items.length > 0 &&
    items.every((i) => (i.state === 'done' && !i.note) || i.state === 'read' || i.state === 'cancelled');
  useEffect(() => {
    if (!settled) return;
    const timer = setTimeout(() => setItems([]), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [settled]);
  return { items, add, update, clear };
}
