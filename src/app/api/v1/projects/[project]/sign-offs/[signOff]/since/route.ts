import { readSince } from '@/formats/api/sign-offs';
import { sinceSignOff } from '@/server/services/since';
import { serve } from '../../../../../../serve';

export const GET = serve(readSince, async ({ params: { project, signOff } }) => ({
  json: await sinceSignOff(project, signOff),
}));
