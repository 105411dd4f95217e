/** A name as an identifier of CSS: “Shore line” → `shore-line`. */
const kebab = (name: string): string =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40)
    .replace(/-$/, '');

/** Names that the page has already. */
const TAKEN = new Set(['screen', 'scene', 'safe', 'content', 'margins', 'bar', 'density', 'group']);

/**
 * Identifiers of CSS for things with names, each its own, in the order of the list; what has no letters of ASCII is
 * called by what it is.
 * @param what such as `layer`
 * @returns by id
 */
export function identifiers(
  things: readonly { id: string; name: string }[],
  what: string,
): ReadonlyMap<string, string> {
  const used = new Set(TAKEN);
  return new Map(
    things.map(({ id, name }) => {
      const plain = kebab(name);
      const base = /^[a-z]/.test(plain) ? plain : [what, plain].filter(Boolean).join('-');
      let free = base;
      for (let n = 2; used.has(free); n++) free = `${base}-${n}`;
      used.add(free);
      return [id, free] as const;
    }),
  );
}
