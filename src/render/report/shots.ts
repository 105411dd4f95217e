import sharp from 'sharp';
import type { CaseResult } from '@/core/survey/survey';
import type { Fonts } from '../fonts';
import { drawingOf } from '../painter';
import { paintRaw, type Bytes } from '../sharp';
import type { Shot } from './report';

/** px that a picture takes at most; about twice as many as it is shown with */
export const MOST = { width: 400, height: 400 } as const;
export const WEBP = { quality: 82, effort: 4 } as const;

/** What pictures are drawn with. */
export interface Surfaces {
  fonts: Fonts;
  /** of a file by its hash */
  bytes: Bytes;
}

/** One case as a small picture. */
export async function shotOf(
  result: CaseResult,
  told: Pick<Shot, 'caption' | 'outcome'>,
  { fonts, bytes }: Surfaces,
): Promise<Shot> {
  const { width, height } = result.regions.screen;
  const scale = Math.min(MOST.width / width, MOST.height / height);
  const raw = await paintRaw(drawingOf(result, { scale, glass: true, fonts }), bytes);
  const size = { width: raw.width, height: raw.height };
  const picture = await sharp(raw.data, { raw: { ...size, channels: 4 } })
    .webp(WEBP)
    .toBuffer();
  return { caseId: result.id, ...told, picture, size };
}
