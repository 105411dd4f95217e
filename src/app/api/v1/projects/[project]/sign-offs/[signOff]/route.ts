import { readSignOff } from '@/formats/api/sign-offs';
import { loadSignOff, signOffText } from '@/server/services/sign-offs';
import { bytesResponse } from '../../../../../respond';
import { serve } from '../../../../../serve';

export const GET = serve(readSignOff, async ({ params: { project, signOff } }) => {
  await loadSignOff(project, signOff);
  return bytesResponse(Buffer.from(signOffText(project, signOff)), 'application/json', 'no-store');
});
