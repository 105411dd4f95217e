import { z } from 'zod';
import { STARTS } from '@/core/launch/timeline';
import { describe, Problem } from '@/server/problem';
import type { FilmAsked } from '@/server/services/film';

export interface Context {
  params: Promise<{ project: string; launch: string; case: string }>;
}

const Query = z.object({
  start: z.enum(STARTS).default('cold'),
  /** of the system, as a target of the launch names them */
  versions: z.string().max(80).optional(),
  scale: z.coerce.number().positive().max(16).optional(),
  /** ms from the tap */
  t: z.coerce.number().min(0).max(3_600_000).default(0),
});

/** What is asked for by an address. @throws Problem 422 naming the field */
export async function readFilm(request: Request, { params }: Context) {
  const { project: projectId, launch: launchId, case: caseId } = await params;
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) throw new Problem(422, describe(query.error));
  const { start, versions, scale, t } = query.data;
  const asked: FilmAsked = { projectId, launchId, caseId, start, versions, scale, signal: request.signal };
  return { asked, t };
}
