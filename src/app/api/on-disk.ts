import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import { ARCHIVE_LIMITS } from '@/server/archives/zip';
import { whileOnDisk } from '@/server/blobs';
import { Problem } from '@/server/problem';

/**
 * Has the ZIP of a request on disk for as long as something is done with it.
 * @param what it is called in a refusal, such as “archive”
 * @throws Problem 400 without one, 413 for one that is larger than any may be
 */
export function zipOnDisk<T>(request: Request, what: string, work: (file: string) => Promise<T>): Promise<T> {
  const tooLarge = () =>
    new Problem(
      413,
      `This ${what} is larger than ${ARCHIVE_LIMITS.bytes / 1024 / 1024} MB, which is the limit.`,
    );
  if (!request.body) throw new Problem(400, `There is no ${what} in this request.`);
  if (Number(request.headers.get('content-length') ?? 0) > ARCHIVE_LIMITS.bytes) throw tooLarge();
  const body = Readable.fromWeb(request.body as ReadableStream);
  return whileOnDisk(body, ARCHIVE_LIMITS.bytes, tooLarge, work);
}
