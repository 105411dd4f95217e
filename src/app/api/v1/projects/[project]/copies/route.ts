import { copyProject } from '@/formats/api/projects';
import { duplicateProject } from '@/server/services/projects';
import { serve } from '../../../../serve';

export const POST = serve(copyProject, ({ params }) => {
  const { documents, revision } = duplicateProject(params.project);
  return { json: { id: documents.project.id, revision } };
});
