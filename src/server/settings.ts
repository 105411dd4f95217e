import path from 'node:path';

/** What is accepted at the doors, in one place. */
export const INPUT_LIMITS = {
  pictureBytes: 64 * 1024 * 1024,
  picturePixels: 100_000_000,
  fontBytes: 64 * 1024 * 1024,
  documentBytes: 4 * 1024 * 1024,
  /** all documents of a project, its screens and its review */
  signOffBytes: 64 * 1024 * 1024,
  nameLength: 120,
} as const;

/** The folder of the database and the picture files. */
export const storeFolder = () => path.resolve(/* turbopackIgnore: true */ process.env.STORE_DIR ?? 'store');

/** Where the product itself lies; the command line may be called from anywhere. */
export const productFolder = () => /* turbopackIgnore: true */ process.env.COULEE_FOLDER ?? process.cwd();

/** Fetching pictures from addresses. Read when it is asked for, so that a test can set it. */
export const FETCHING = {
  redirects: 5,
  timeoutMs: 20_000,
  isOn: () => process.env.FETCH_ADDRESSES !== 'off',
  /** `host:port`, separated by spaces, of servers that need not be public: for tests with a server of their own */
  allowed: () => (process.env.FETCH_ALLOWED ?? '').split(' ').filter(Boolean),
} as const;
