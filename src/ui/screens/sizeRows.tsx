import { sayNumber, sayRatio, sayShare, sayTimes } from '@/core/words/numbers';
import type { PlacedResult } from '@/core/survey/survey';
import { asked, type Maybe, type Row } from './figures';

const plainShare = (v: number) => sayShare(v).replace(' %', '');

/** How large a layer is. @param isEmpty of a panel that goes around what it holds, and holds nothing yet */
export function sizeRows({ id, kind, placement, measures }: PlacedResult, isEmpty: boolean): Maybe[] {
  const { drawn, scale } = placement;
  const same = Math.abs(scale.x - scale.y) < 1e-9;
  const { share, collapsed } = measures;
  return [
    isEmpty && { label: 'Holds', value: 'nothing yet' },
    collapsed > 0 &&
      !isEmpty && {
        label: 'Collapsed',
        value: asked(id, 'Collapsed').one('collapse', collapsed > 1 ? 'both ways' : 'one way'),
        measure: 'crop',
      },
    {
      label: 'Drawn',
      value: (
        <>
          {asked(id, 'Drawn width').one('drawn-width', sayNumber(drawn.width))} ×{' '}
          {asked(id, 'Drawn height').one('drawn-height', sayNumber(drawn.height))} lu
        </>
      ),
    },
    kind === 'picture' && {
      label: 'Scale',
      value: asked(id, 'Scale').one(
        'scale',
        same ? sayTimes(scale.x) : `${sayRatio(scale.x)} × ${sayRatio(scale.y)}`,
      ),
      title: 'against the file’s natural size',
    },
    {
      label: 'Share of width, height',
      value: (
        <>
          {asked(id, 'Share of the width').one('share-width', sayShare(share.width))},{' '}
          {asked(id, 'Share of the height').one('share-height', sayShare(share.height))}
        </>
      ),
    },
    share.widthMm !== null && {
      label: 'Physical width',
      value: asked(id, 'Physical width').one('width-mm', `${sayNumber(share.widthMm)} mm`),
    },
  ];
}

/** What has to be seen and is not: cut off, hidden, or not marked on the cut that is shown. */
function keepRows(layer: PlacedResult): Row[] {
  const { id, measures } = layer;
  const keep = measures.keep ?? [];
  return [
    ...keep
      .filter(({ hidden }) => hidden > 0)
      .map(({ subject, hidden }) => ({
        label: `${subject}, under the edge of the glass`,
        title: 'share of the keep area that a cutout or a rounded corner hides',
        value: asked(id, `${subject} hidden`).one('keep', sayShare(hidden)),
      })),
    ...(layer.kind === 'picture' ? layer.unmarked : []).map((subject) => ({
      label: subject,
      title: 'it is a keep area of another cut of the picture',
      value: 'not marked on this cut',
    })),
    ...keep.map(({ subject, lost }) => ({
      label: `${subject}, cut off`,
      title: 'share of the keep area that is not seen',
      value: asked(id, `${subject} cut off`).one('keep', sayShare(lost)),
      measure: lost > 0 ? 'crop' : undefined,
    })),
  ];
}

/** What of a layer is lost. */
export function lossRows(layer: PlacedResult): Maybe[] {
  const { id, kind, role, measures } = layer;
  const { crop, bare, bareScreen, distortion } = measures;
  const hidden = crop && (kind === 'picture' || crop.total > 0) ? crop : null;
  const measure = hidden && hidden.total > 0 ? 'crop' : undefined;
  return [
    hidden && {
      label: 'Crop by side',
      title: 'left · right · top · bottom',
      value: <>{asked(id, 'Crop').sides('crop', hidden, plainShare)} %</>,
      measure,
    },
    hidden && {
      label: 'Crop in all',
      value: asked(id, 'Crop in all').one('crop', sayShare(hidden.total)),
      measure,
    },
    ...keepRows(layer),
    bare !== null &&
      bare.total > 0 && {
        label: 'Bare in its box',
        value: asked(id, 'Bare').one('bare', sayShare(bare.total)),
        measure: 'bare',
      },
    role === 'background' &&
      bareScreen.total > 0 && {
        label: 'Bare to the screen’s edges',
        title: 'left · right · top · bottom',
        value: <>{asked(id, 'Bare').sides('bare-screen', bareScreen.distance, sayNumber)} lu</>,
        measure: 'bare',
      },
    distortion !== null &&
      distortion > 1e-9 && {
        label: 'Distorted',
        value: asked(id, 'Distorted').one('distortion', sayShare(distortion)),
        measure: 'distortion',
      },
  ];
}
