import type { ReactNode } from 'react';
import { SIDES, type PerSide } from '@/core/geometry/rect';
import { sayNumber, sayRatio, sayShare, sayTimes } from '@/core/formats/numbers';
import type { CaseResult, PictureResult } from '@/core/survey/survey';

const sides = (values: PerSide, say: (v: number) => string) => SIDES.map((s) => say(values[s])).join(' · ');
const plainShare = (v: number) => sayShare(v).replace(' %', '');

interface Row {
  label: string;
  title?: string;
  value: ReactNode;
  measure?: string;
}

function rows({ placement, measures, rendition, role }: PictureResult): Row[] {
  const { crop, bareScreen, bare, distortion, enlargement, clearance, share } = measures;
  const { drawn, scale } = placement;
  const list: (Row | null | false)[] = [
    { label: 'Drawn', value: `${sayNumber(drawn.width)} × ${sayNumber(drawn.height)} lu` },
    {
      label: 'Scale',
      value: scale.x === scale.y ? sayTimes(scale.x) : `${sayRatio(scale.x)} × ${sayRatio(scale.y)}`,
      title: 'against the file’s natural size',
    },
    crop && {
      label: 'Crop by side',
      title: 'left · right · top · bottom',
      value: `${sides(crop, plainShare)} %`,
      measure: crop.total > 0 ? 'crop' : undefined,
    },
    crop && {
      label: 'Crop in all',
      value: sayShare(crop.total),
      measure: crop.total > 0 ? 'crop' : undefined,
    },
    bare && bare.total > 0
      ? { label: 'Bare in its box', value: sayShare(bare.total), measure: 'bare' }
      : null,
    role === 'background' && bareScreen.total > 0
      ? {
          label: 'Bare to the screen’s edges',
          title: 'left · right · top · bottom',
          value: `${sides(bareScreen.distance, sayNumber)} lu`,
          measure: 'bare',
        }
      : null,
    distortion !== null && distortion > 1e-9
      ? { label: 'Distorted', value: sayShare(distortion), measure: 'distortion' }
      : null,
    {
      label: 'Device px per file px',
      title: `${rendition.widthPx} × ${rendition.heightPx} px in the file`,
      value: sayRatio(enlargement),
      measure: enlargement > 1 ? 'enlargement' : undefined,
    },
    clearance && {
      label: 'To the safe edges',
      value: `${sides(clearance.safe, sayNumber)} lu`,
      title: 'left · right · top · bottom; negative is outside',
    },
    {
      label: 'Share of width, height',
      value: `${sayShare(share.width)}, ${sayShare(share.height)}`,
    },
    share.widthMm !== null && {
      label: 'Width on the glass',
      value: `${sayNumber(share.widthMm)} mm`,
    },
  ];
  return list.filter((r): r is Row => Boolean(r));
}

/** Everything measured of each picture of a case. */
export function MeasureTable({ result }: { result: CaseResult }) {
  return result.layers.map((layer) =>
    layer.kind === 'picture' ? (
      <table key={layer.id} className="measures figures">
        <caption>{layer.name}</caption>
        <tbody>
          {rows(layer).map((row) => (
            <tr key={row.label}>
              <th scope="row" title={row.title}>
                {row.label}
              </th>
              <td className={row.measure && `measure-${row.measure}`}>{row.value}</td>
            </tr>
          ))}
        </tbody>
      </table>
    ) : null,
  );
}
