import { z } from 'zod';
import { createEmptyProject, listProjects } from '@/server/services/projects';
import { INPUT_LIMITS } from '@/server/settings';
import { readJson, respond } from '../respond';

export const dynamic = 'force-dynamic';

const NewProject = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'A project needs a name.')
    .max(INPUT_LIMITS.nameLength, `A name has at most ${INPUT_LIMITS.nameLength} characters.`),
});

export const GET = (request: Request) => respond(request, () => Response.json(listProjects()));

/** A new, empty project. */
export const POST = (request: Request) =>
  respond(request, async () => {
    const { name } = await readJson(request, NewProject);
    const { documents, revision } = createEmptyProject(name);
    return Response.json({ id: documents.project.id, revision }, { status: 201 });
  });
