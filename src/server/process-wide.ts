/**
 * A value of the whole process: development reloads and separate bundles of the server, which load a module more than
 * once, have the same one.
 *
 * @param name that no other such value has @param make makes it when it is first asked for
 * @example const damaged = shared('damaged', () => new Set<string>()); damaged().add(hash);
 */
export function shared<T>(name: string, make: () => T): () => T {
  const all = globalThis as unknown as { couleeShared?: Map<string, unknown> };
  return () => {
    const values = (all.couleeShared ??= new Map());
    if (!values.has(name)) values.set(name, make());
    return values.get(name) as T;
  };
}
