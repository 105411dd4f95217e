import path from 'node:path';

/** What is accepted at the doors, in one place. */
export const INPUT_LIMITS = {
  pictureBytes: 64 * 1024 * 1024,
  picturePixels: 100_000_000,
  documentBytes: 4 * 1024 * 1024,
  nameLength: 120,
} as const;

/** The folder of the database and the picture files. */
export const storeFolder = () => path.resolve(/* turbopackIgnore: true */ process.env.STORE_DIR ?? 'store');
