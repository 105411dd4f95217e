import { Fragment } from 'react';
import { sayNumber } from '@/core/words/numbers';
import { distances, SIDES } from '@/core/geometry/rect';
import { emptyPanels } from '@/core/scene/layers';
import type { CaseResult, PlacedResult } from '@/core/survey/survey';
import { useScene } from '../state/context';
import type { Row } from './figures';
import { acrossRows, lieRows, otherRows } from './placeRows';
import { lossRows, sizeRows } from './sizeRows';
import { Why } from '../cause/Why';

const rows = (layer: PlacedResult, isEmpty: boolean) =>
  [
    ...sizeRows(layer, isEmpty),
    ...lossRows(layer),
    ...acrossRows(layer),
    ...otherRows(layer),
    ...lieRows(layer),
  ].filter((r): r is Row => Boolean(r));

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
  const empty = emptyPanels(useScene());
  const layers = result.layers.map((layer) =>
    layer.kind === 'ground' ? null : (
      <table key={layer.id} className="measures figures">
        <caption>{layer.name}</caption>
        <tbody>
          {rows(layer, empty.has(layer.id)).map((row) => (
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
