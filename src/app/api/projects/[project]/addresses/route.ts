import { z } from 'zod';
import { fetchPicture } from '@/server/pictures/fetch';
import { keepFile } from '@/server/pictures/import';
import { loadProject } from '@/server/services/projects';
import { readJson, respond } from '../../../respond';

interface Context {
  params: Promise<{ project: string }>;
}

const Wanted = z.object({ address: z.string().min(1, 'An address is needed.').max(2000) });

/** Takes in one picture file from a public address. */
export const POST = (request: Request, { params }: Context) =>
  respond(request, async () => {
    const { project } = await params;
    loadProject(project);
    const { address } = await readJson(request, Wanted);
    const { bytes, name } = await fetchPicture(address);
    const file = await keepFile(bytes, name, { project, signal: request.signal });
    return Response.json({ file, name }, { status: 201 });
  });
