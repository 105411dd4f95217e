import { keepFile, tooLarge } from '@/server/pictures/import';
import { loadProject } from '@/server/services/projects';
import { lostFiles } from '@/server/services/verify';
import { INPUT_LIMITS } from '@/server/settings';
import { fileName } from '../../../file-name';
import { readBody, respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** Which files of the project the store has lost, by their hash. */
export const GET = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { documents } = loadProject((await params).project);
    return Response.json({ lost: await lostFiles(documents) }, { headers: { 'cache-control': 'no-store' } });
  });

/** Takes in one picture file, whose bytes are the body of the request. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    loadProject(project);
    const name = fileName(request);
    const bytes = await readBody(request, INPUT_LIMITS.pictureBytes, () => tooLarge(name));
    return Response.json(await keepFile(bytes, name, { project, signal: request.signal }), { status: 201 });
  });
