import { keepFile, tooLarge } from '@/server/pictures/import';
import { loadProject } from '@/server/services/projects';
import { INPUT_LIMITS } from '@/server/settings';
import { fileName } from '../../../file-name';
import { readBody, respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** Takes in one picture file, whose bytes are the body of the request. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    loadProject(project);
    const name = fileName(request);
    const bytes = await readBody(request, INPUT_LIMITS.pictureBytes, () => tooLarge(name));
    return Response.json(await keepFile(bytes, name), { status: 201 });
  });
