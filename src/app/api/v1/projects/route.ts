import { createProject, listProjects } from '@/formats/api/projects';
import * as projects from '@/server/services/projects';
import { serve } from '../../serve';

export const dynamic = 'force-dynamic';

export const GET = serve(listProjects, () => ({ json: projects.listProjects() }));

export const POST = serve(createProject, ({ body }) => {
  const { documents, revision } = projects.createEmptyProject(body.name);
  return { json: { id: documents.project.id, revision } };
});
