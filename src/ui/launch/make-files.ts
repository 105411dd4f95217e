import type { LaunchMend } from '@/core/launch/mend-kit';
import type { Patch } from '@/core/patch/patch';
import { derive } from '../api';
import { fileOf } from '@/core/project/place-picture';

/**
 * A patch with the files that it needs: each is made on the server, and what stood for it gives way to it.
 * @throws RequestProblem when a file cannot be made
 */
export async function withFilesMade(
  projectId: string,
  patch: Patch,
  make: NonNullable<LaunchMend['make']>,
  makeFile = derive,
): Promise<Patch> {
  const made = new Map<unknown, ReturnType<typeof fileOf>>();
  for (const { stands, from } of make) made.set(stands, fileOf(await makeFile(projectId, from)));
  const filled = (json: unknown): unknown => {
    if (Array.isArray(json)) return json.map(filled);
    if (typeof json !== 'object' || json === null) return json;
    const file = 'hash' in json ? made.get(json.hash) : undefined;
    if (file) return { ...json, ...file };
    return Object.fromEntries(Object.entries(json).map(([key, value]) => [key, filled(value)]));
  };
  return filled(patch) as Patch;
}
