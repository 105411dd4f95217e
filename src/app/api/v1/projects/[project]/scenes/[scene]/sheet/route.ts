import { readSheet } from '@/formats/api/app';
import { sheetOf } from '@/server/exports/sheet';
import { bytesResponse } from '../../../../../../respond';
import { serve } from '../../../../../../serve';

export const GET = serve(readSheet, ({ params, query }) => {
  const { text, mediaType } = sheetOf({ projectId: params.project, sceneId: params.scene, ...query });
  return bytesResponse(Buffer.from(text), `${mediaType}; charset=utf-8`, 'no-store');
});
