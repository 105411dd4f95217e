import { readTokens } from '@/formats/api/app';
import { tokensText, TOKENS_TYPE } from '@/formats/design-tokens';
import { loadProject } from '@/server/services/projects';
import { bytesResponse } from '../../../../respond';
import { serve } from '../../../../serve';

export const GET = serve(readTokens, ({ params }) => {
  const { project } = loadProject(params.project).documents;
  return bytesResponse(Buffer.from(tokensText(project)), TOKENS_TYPE, 'no-store');
});
