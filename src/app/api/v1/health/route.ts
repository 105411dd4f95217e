import { health } from '@/formats/api/door';
import { serve } from '../../serve';

export const dynamic = 'force-dynamic';

export const GET = serve(health, () => ({ json: { ok: true as const } }));
