import { fontTooLarge, keepFont } from '@/server/fonts/import';
import { loadProject } from '@/server/services/projects';
import { INPUT_LIMITS } from '@/server/settings';
import { fileName } from '../../../file-name';
import { readBody, respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** Takes in one font, whose bytes are the body of the request. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    loadProject((await params).project);
    const name = fileName(request);
    const bytes = await readBody(request, INPUT_LIMITS.fontBytes, () => fontTooLarge(name));
    return Response.json(await keepFont(bytes, name), { status: 201 });
  });
