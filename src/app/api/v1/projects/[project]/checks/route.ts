import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import * as api from '@/formats/api/files';
import { ARCHIVE_LIMITS } from '@/server/archives/zip';
import { whileOnDisk } from '@/server/blobs';
import { Problem } from '@/server/problem';
import { checkZip } from '@/server/services/folder-check';
import { loadProject } from '@/server/services/projects';
import { serve } from '../../../../serve';

const tooLarge = () =>
  new Problem(
    413,
    `This folder is larger than ${ARCHIVE_LIMITS.bytes / 1024 / 1024} MB in its ZIP, which is the limit.`,
  );

export const POST = serve(api.checkFiles, async ({ request, params: { project }, query }) => {
  const { documents } = loadProject(project);
  if (!request.body) throw new Problem(400, 'There is no ZIP in this request.');
  const body = Readable.fromWeb(request.body as ReadableStream);
  const by = { project, signal: request.signal };
  const asked = { pattern: query.pattern, heaviest: query.heaviest };
  return {
    json: await whileOnDisk(body, ARCHIVE_LIMITS.bytes, tooLarge, (file) =>
      checkZip(documents, file, asked, by),
    ),
  };
});
