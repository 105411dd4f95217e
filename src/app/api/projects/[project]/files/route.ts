import { keepFile, tooLarge } from '@/server/pictures/import';
import { Problem } from '@/server/problem';
import { loadProject } from '@/server/services/projects';
import { INPUT_LIMITS } from '@/server/settings';
import { readBody, respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

/** The name of a file is only ever shown; one that tries to be a path or a page is refused all the same. */
function fileName(request: Request): string {
  const name = new URL(request.url).searchParams.get('name')?.trim() ?? '';
  if (name === '') throw new Problem(422, 'name: say in ?name= what the file is called.');
  if (name.length > INPUT_LIMITS.nameLength) {
    throw new Problem(422, `name: has ${name.length} characters; the limit is ${INPUT_LIMITS.nameLength}.`);
  }
  if (/[/\\\u0000-\u001f]/.test(name) || name === '..') {
    throw new Problem(
      422,
      'name: may not hold slashes or control characters. Give the name without its folder.',
    );
  }
  return name;
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
