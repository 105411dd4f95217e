import * as api from '@/formats/api/files';
import { statistics } from '@/server/services/pictures';
import { serve } from '../../../../serve';

/** Its address holds its hash, but how a file is read may change with a version. */
export const GET = serve(api.statistics, async ({ params }) => ({
  json: await statistics(params.hash),
  headers: { 'cache-control': 'private, max-age=86400' },
}));
