import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import { takeInArchive } from '@/formats/api/projects';
import { whileOnDisk } from '@/server/blobs';
import { Problem } from '@/server/problem';
import { ARCHIVE_LIMITS } from '@/server/archives/zip';
import { importArchive } from '@/server/services/archive';
import { serve } from '../../serve';

const tooLarge = () =>
  new Problem(
    413,
    `This archive is larger than ${ARCHIVE_LIMITS.bytes / 1024 / 1024} MB, which is the limit.`,
  );

export const POST = serve(takeInArchive, async ({ request }) => {
  if (!request.body) throw new Problem(400, 'There is no archive in this request.');
  if (Number(request.headers.get('content-length') ?? 0) > ARCHIVE_LIMITS.bytes) throw tooLarge();
  const body = Readable.fromWeb(request.body as ReadableStream);
  const { documents, revision } = await whileOnDisk(body, ARCHIVE_LIMITS.bytes, tooLarge, importArchive);
  const { id, name } = documents.project;
  return { json: { id, name, revision } };
});
