import { Derivation } from '@/core/pictures/derive';
import { deriveFile } from '@/server/pictures/derive';
import { loadProject } from '@/server/services/projects';
import { readJson, respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** Makes a file from another: in another size, or without the room around it. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    loadProject(project);
    return Response.json(await deriveFile(await readJson(request, Derivation)), { status: 201 });
  });
