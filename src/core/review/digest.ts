import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
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

/** SHA-256 (FIPS 180-4) in hexadecimal, of a text as UTF-8; by a library, as browsers keep theirs for pages of https. */
export const sha256Of = (text: string): string => bytesToHex(sha256(utf8ToBytes(text)));

/**
 * What a review is told by: SHA-256 of documents, screens and version, in hexadecimal. Files are named in the documents by
 * their own hashes.
 */
export function digestOf(documents: Documents, screens: readonly Screen[]): string {
  const text = canonicalJson({ version: PRODUCT_VERSION, documents, screens });
  return sha256Of(text);
}
