const BYTES = 16;
/** How many letters of hexadecimal stand in each group of a UUID. */
const GROUPS = [8, 4, 4, 4, 12];

/**
 * A random identifier, as a UUID of version 4 (RFC 9562, section 5.4). It is made of `getRandomValues`, because
 * browsers keep `randomUUID` for pages of https and of the machine itself.
 */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(BYTES));
  bytes[6] = 0x40 | (bytes[6]! & 0x0f);
  bytes[8] = 0x80 | (bytes[8]! & 0x3f);
  const letters = Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
  let at = 0;
  return GROUPS.map((length) => letters.slice(at, (at += length))).join('-');
}
