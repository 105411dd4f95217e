import { readManifest } from '@/formats/api/app';
import { DEFAULT_PATTERN } from '@/formats/files/names';
import { webManifest } from '@/formats/manifest';
import { fileFacts } from '@/server/services/pictures';
import { loadProject } from '@/server/services/projects';
import { serve } from '../../../../serve';

export const GET = serve(readManifest, ({ params }) => {
  const { documents } = loadProject(params.project);
  return { json: webManifest(documents, fileFacts(documents), DEFAULT_PATTERN) };
});
