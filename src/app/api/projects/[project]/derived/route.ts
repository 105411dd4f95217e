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
    const asked = await readJson(request, Derivation);
    return Response.json(await deriveFile(asked, { project, signal: request.signal }), { status: 201 });
  });
