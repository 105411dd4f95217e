'use client';
import { sayRatio } from '@/core/words/numbers';
import { capitalised } from '@/core/words/words';
import { heldAll } from '@/core/solve/ratio';
import { curve, type ValleyMeasure } from '@/core/solve/valley';
import type { Range } from './allowed';
import type { ValleyProps } from './limits';
import type { NamedValley } from './named';
import { xOf, yOf, type ValleyScale } from './scale';

/** The part of the strip on which a curve is that of some case. */
const reachOf = ({ low, high }: NamedValley, scale: ValleyScale): Range => ({
  low: Math.max(scale.low, low),
  high: Math.min(scale.high, high),
});

const pathOf = (v: NamedValley, measure: ValleyMeasure, range: Range, scale: ValleyScale) =>
  curve(v, measure, range)
    .map(({ ratio, loss }, i) => `${i ? 'L' : 'M'}${xOf(scale, ratio)} ${yOf(scale, loss)}`)
    .join('');

/** A curve and the ratio of its file; faint where none of its own cases lies. */
export function Curve({
  v,
  measure,
  scale,
}: Pick<ValleyProps, 'measure'> & { v: NamedValley; scale: ValleyScale }) {
  const own = xOf(scale, v.own);
  const className = `valley-curve measure-${measure}`;
  const reach = reachOf(v, scale);
  const isPart = reach.low > scale.low || reach.high < scale.high;
  return (
    <g>
      {v.label && <title>{capitalised(v.label)}</title>}
      <line className="valley-own" x1={own} x2={own} y1={0} y2={scale.height - 14} />
      {isPart && <path className={`${className} valley-curve-faint`} d={pathOf(v, measure, scale, scale)} />}
      <path className={className} d={pathOf(v, measure, reach, scale)} />
    </g>
  );
}

/** Under the curve of the keep areas: the ratios at which the position in use shows all of them whole. */
export function HeldRange({ data, measure, scale }: ValleyProps & { scale: ValleyScale }) {
  if (measure !== 'keep-lost') return null;
  return data.valleys.flatMap((v) => {
    const { fit, own, areas, position } = v;
    const range =
      fit === 'cover' && areas.length > 0 ? heldAll(areas, { width: own, height: 1 }, position) : null;
    if (!range) return [];
    const within = reachOf(v, scale);
    const from = Math.max(0, xOf(scale, Math.max(range.low, within.low)));
    const to = xOf(scale, Math.min(range.high, within.high));
    return [
      <rect
        key={v.key}
        className="valley-held"
        x={from}
        width={Math.max(0, to - from)}
        y={scale.height - 20}
        height={5}
      >
        <title>{`${v.label && `${capitalised(v.label)}: `}All keep areas are seen whole from ${sayRatio(range.low)} to ${sayRatio(range.high)}, width ÷ height`}</title>
      </rect>,
    ];
  });
}
