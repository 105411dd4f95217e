import { addScreenshot } from '@/formats/api/screenshots';
import { rectsIn } from '@/formats/rects';
import { tooLarge } from '@/server/importing/picture';
import { holdScreenshot } from '@/server/services/screenshots';
import { INPUT_LIMITS } from '@/server/settings';
import { fileName } from '../../../../../../../../file-name';
import { readBody } from '../../../../../../../../respond';
import { serve } from '../../../../../../../../serve';

export const POST = serve(addScreenshot, async ({ request, params, query }) => {
  const name = fileName(query.name);
  const bytes = await readBody(request, INPUT_LIMITS.pictureBytes, () => tooLarge(name));
  const ignored = query.ignored === undefined ? undefined : rectsIn(query.ignored);
  const by = { project: params.project, signal: request.signal };
  return { json: await holdScreenshot({ ...params, name, bytes, ignored }, by) };
});
