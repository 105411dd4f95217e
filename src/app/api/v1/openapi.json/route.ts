import { describeApi } from '@/formats/api/door';
import { openApi } from '@/formats/api/openapi';
import { serve } from '../../serve';

export const GET = serve(describeApi, () => Response.json(openApi()));
