import { PRODUCT_VERSION } from './version';
import type { Documents } from '../project/documents';
import type { Screen } from '../screens/screen';

/** JSON whose keys are in the order of their letters, so that the same data is the same text. */
export function canonicalJson(value: unknown): string {
  const sorted = (_: string, v: unknown) =>
    typeof v === 'object' && v !== null && !Array.isArray(v)
      ? Object.fromEntries(Object.entries(v).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : v;
  return JSON.stringify(value, sorted);
}

/** In hexadecimal, of a text as UTF-8. */
export async function sha256(text: string): Promise<string> {
  const hash = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text));
  return [...new Uint8Array(hash)].map((b) => b.toString(16).padStart(2, '0')).join('');
}

/**
 * What a review is told by: SHA-256 of documents, screens and version, in hexadecimal. Files are named in the documents by
 * their own hashes.
 */
export async function digestOf(documents: Documents, screens: readonly Screen[]): Promise<string> {
  const text = canonicalJson({ version: PRODUCT_VERSION, documents, screens });
  return sha256(text);
}
