export interface Kept<T> {
  get: (key: string, make: () => T) => T;
}

/** What was made before under the same key; all of it is forgotten when it becomes too much. */
export function kept<T>(most: number): Kept<T> {
  const known = new Map<string, T>();
  return {
    get: (key, make) => {
      const found = known.get(key);
      if (found !== undefined) return found;
      if (known.size >= most) known.clear();
      const made = make();
      known.set(key, made);
      return made;
    },
  };
}
