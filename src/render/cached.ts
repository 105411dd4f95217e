import type { LRUCache } from 'lru-cache';

/** What was made before under the same key, or is made now. */
export function cached<T extends NonNullable<unknown>>(
  cache: LRUCache<string, T>,
  key: string,
  make: () => T,
): T {
  const found = cache.get(key);
  if (found !== undefined) return found;
  const made = make();
  cache.set(key, made);
  return made;
}
