import { listSharedScreens, shareScreen } from '@/formats/api/shared';
import { listShared, share } from '@/server/services/shared-screens';
import { serve } from '../../serve';

export const dynamic = 'force-dynamic';

export const GET = serve(listSharedScreens, () => ({ json: listShared() }));

export const POST = serve(shareScreen, ({ body }) => {
  share(body);
  return { json: { id: body.id } };
});
