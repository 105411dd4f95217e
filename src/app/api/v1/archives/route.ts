import { takeInArchive } from '@/formats/api/projects';
import { importArchive } from '@/server/services/archive';
import { zipOnDisk } from '../../on-disk';
import { serve } from '../../serve';

export const POST = serve(takeInArchive, async ({ request }) => {
  const { documents, revision } = await zipOnDisk(request, 'archive', (file) =>
    importArchive(file, { project: '', signal: request.signal }),
  );
  const { id, name } = documents.project;
  return { json: { id, name, revision } };
});
