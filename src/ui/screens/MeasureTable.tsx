import { Fragment, type ReactNode } from 'react';
import { distances, SIDES, type PerSide } from '@/core/geometry/rect';
import { sayContrast, sayDensity, sayNumber, sayRatio, sayShare, sayTimes } from '@/core/formats/numbers';
import type { FigureName } from '@/core/explain/reason';
import type { CaseResult, PictureResult, PlacedResult, TextResult } from '@/core/survey/survey';
import { Why } from './Why';

const plainShare = (v: number) => sayShare(v).replace(' %', '');

interface Row {
  label: string;
  title?: string;
  value: ReactNode;
  measure?: string;
}

/** Figures of a layer, each of which can be asked where it comes from. */
function asked(layerId: string, label: string) {
  return {
    one: (name: FigureName, text: string) => (
      <Why question={{ layerId, figure: { name } }} text={text} label={label} />
    ),
    sides: (name: FigureName, values: PerSide, say: (v: number) => string) =>
      SIDES.map((side, i) => (
        <Fragment key={side}>
          {i > 0 && ' · '}
          <Why
            question={{ layerId, figure: { name, side } }}
            text={say(values[side])}
            label={`${label}, ${side}`}
          />
        </Fragment>
      )),
  };
}

const sayFile = ({ rendition }: PictureResult) =>
  rendition.vector
    ? `vector, ${rendition.appearance}`
    : `${rendition.widthPx} × ${rendition.heightPx} px, ${sayDensity(rendition.density)}x, ${rendition.appearance}`;

const sayLines = ({ lines, shortened }: TextResult) =>
  `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}${shortened ? ', shortened' : ''}`;

type Maybe = Row | null | false;

function sizeRows({ id, kind, placement, measures }: PlacedResult): Maybe[] {
  const { drawn, scale } = placement;
  const same = Math.abs(scale.x - scale.y) < 1e-9;
  const { share, collapsed } = measures;
  return [
    collapsed > 0 && {
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
      label: 'Width on the glass',
      value: asked(id, 'Width on the glass').one('width-mm', `${sayNumber(share.widthMm)} mm`),
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
        label: `${subject}, under the glass’s edge`,
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

function lossRows(layer: PlacedResult): Maybe[] {
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

function otherRows(layer: PlacedResult): Maybe[] {
  const { id, measures } = layer;
  const { enlargement, clearance, contrast } = measures;
  return [
    layer.kind === 'picture' && {
      label: 'File',
      value: asked(id, 'File').one('file', sayFile(layer)),
    },
    layer.kind === 'picture' &&
      enlargement !== null && {
        label: 'Device px per file px',
        title: `${layer.rendition.widthPx} × ${layer.rendition.heightPx} px in the file`,
        value: asked(id, 'Device px per file px').one('enlargement', sayRatio(enlargement)),
        measure: enlargement > 1 ? 'enlargement' : undefined,
      },
    layer.kind === 'text' && {
      label: 'Set in',
      title: layer.shortened ? 'ends with an ellipsis: not all of it fits' : undefined,
      value: (
        <>
          {asked(id, 'Set in').one('font-size', `${sayNumber(layer.fontSize)} lu`)}, {sayLines(layer)}
        </>
      ),
    },
    contrast !== null && {
      label: 'Contrast',
      title: 'WCAG ratio with what lies under it, in nine tenths of 8 × 8 tiles',
      value: asked(id, 'Contrast').one('contrast', sayContrast(contrast)),
    },
    clearance && {
      label: 'To the safe edges',
      value: <>{asked(id, 'To the safe edge').sides('clearance', clearance.safe, sayNumber)} lu</>,
      title: 'left · right · top · bottom; negative is outside',
    },
  ];
}

const rows = (layer: PlacedResult) =>
  [...sizeRows(layer), ...lossRows(layer), ...otherRows(layer)].filter((r): r is Row => Boolean(r));

/** The screen as the case has it: its size, and how far the safe area stands off each side. */
function ScreenTable({ regions }: Pick<CaseResult, 'regions'>) {
  const { screen, safe } = regions;
  const insets = distances(safe, screen);
  return (
    <table className="measures figures">
      <caption>Screen</caption>
      <tbody>
        <tr>
          <th scope="row">Width, height</th>
          <td>
            <Why question={{ screen: 'x' }} text={sayNumber(screen.width)} label="Width of the screen" /> ×{' '}
            <Why question={{ screen: 'y' }} text={sayNumber(screen.height)} label="Height of the screen" /> lu
          </td>
        </tr>
        <tr>
          <th scope="row" title="left · right · top · bottom">
            Insets
          </th>
          <td>
            {SIDES.map((side, i) => (
              <Fragment key={side}>
                {i > 0 && ' · '}
                <Why question={{ screen: side }} text={sayNumber(insets[side])} label={`Inset, ${side}`} />
              </Fragment>
            ))}{' '}
            lu
          </td>
        </tr>
      </tbody>
    </table>
  );
}

/** Everything measured of each layer of a case; each figure says why it is what it is. */
export function MeasureTable({ result }: { result: CaseResult }) {
  const layers = result.layers.map((layer) =>
    layer.kind === 'ground' ? null : (
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
    ),
  );
  return (
    <>
      {layers}
      <ScreenTable regions={result.regions} />
    </>
  );
}
