import * as api from '@/formats/api/screenshots';
import { listScreenshots } from '@/server/services/screenshots';
import { serve } from '../../../../serve';

export const GET = serve(api.listScreenshots, ({ params }) => ({ json: listScreenshots(params.project) }));
