'use client';
import type { Size } from '@/core/geometry/rect';
import { memo, useMemo, type KeyboardEvent, type MouseEvent } from 'react';
import type { SizeMap } from '@/core/map/size-map';
import { OUTCOMES } from '@/core/measure/judge';
import { useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { sayWindow, windowOf } from '../state/view';
import { AllowedRect } from './AllowedRect';
import { MapMarks } from './MapMarks';
import { lineOf, pathOf, RATIO_LINES, ticksIn, type MapScale } from './map-scale';

interface Props {
  /** `null` until something is known */
  map: SizeMap | null;
  scale: MapScale;
  /** CSS px for the sizes beside and under the map */
  edges: { left: number; bottom: number };
  onPoint: (size: Size | null) => void;
}

/** What is told by colour is told by lines as well. */
function Patterns() {
  return (
    <defs>
      <pattern id="map-fail" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" className="map-fill-fail" />
        <line x1="0" y1="0" x2="0" y2="6" className="map-line-fail" />
      </pattern>
      <pattern id="map-warn" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" className="map-fill-warn" />
        <circle cx="3.5" cy="3.5" r="0.8" className="map-dot-warn" />
      </pattern>
      <pattern id="map-clear" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" className="map-fill-clear" />
      </pattern>
    </defs>
  );
}

/** The areas of each outcome. */
const Areas = memo(function Areas({ map, scale }: { map: SizeMap; scale: MapScale }) {
  const paths = useMemo(
    () =>
      OUTCOMES.map((outcome) => ({
        outcome,
        d: pathOf(
          map.pieces.filter((p) => p.outcome === outcome),
          scale,
        ),
      })),
    [map, scale],
  );
  return paths.map(({ outcome, d }) => (
    <path
      key={outcome}
      d={d}
      fill={`url(#map-${outcome})`}
      data-outcome={outcome}
      shapeRendering="crispEdges"
    />
  ));
});

/** Sizes at the edges, and lines on which windows have one ratio. */
function Axes({ map, scale }: { map: SizeMap; scale: MapScale }) {
  const { range } = map;
  return (
    <g className="map-axes" aria-hidden="true">
      {RATIO_LINES.map(({ label, ratio }) => {
        const { from, to } = lineOf(ratio, range);
        const [x, y] = [scale.x(to.width), scale.y(to.height)];
        // Written where the line ends: at the top, or at the right.
        const isTop = y < 4;
        return (
          <g key={label}>
            <line x1={scale.x(from.width)} y1={scale.y(from.height)} x2={x} y2={y} />
            <text x={isTop ? x - 14 : x - 4} y={isTop ? 26 : y + 18} textAnchor="end">
              {label}
            </text>
          </g>
        );
      })}
      {ticksIn(range.width).map((lu) => (
        <text key={lu} x={scale.x(lu)} y={scale.height + 15} textAnchor="middle">
          {lu}
        </text>
      ))}
      {ticksIn(range.height).map((lu) => (
        <text key={lu} x={-6} y={scale.y(lu) + 4} textAnchor="end">
          {lu}
        </text>
      ))}
      <text x={scale.width / 2} y={scale.height + 30} textAnchor="middle">
        width, lu
      </text>
      <text x={-6} y={10} textAnchor="end">
        height
      </text>
    </g>
  );
}

const STEPS: Record<string, readonly [width: number, height: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The window that is looked at, as a cross that is moved with the arrow keys. */
function Cross({ scale, onPoint }: Pick<Props, 'scale' | 'onPoint'>) {
  const view = useWorkbench((s) => s.view);
  const look = useLook();
  const size = windowOf(view);
  const onKeyDown = (e: KeyboardEvent) => {
    if (e.key === 'Enter') look({ middle: 'window' });
    const step = STEPS[e.key];
    if (!step) return;
    e.preventDefault();
    const by = e.shiftKey ? 10 : 1;
    const next = {
      width: Math.max(10, Math.round(size.width + step[0] * by)),
      height: Math.max(10, Math.round(size.height + step[1] * by)),
    };
    onPoint(next);
    look({ window: sayWindow(next) });
  };
  return (
    <g
      className={view.window ? 'map-cross' : 'map-cross map-cross-idle'}
      role="button"
      tabIndex={0}
      aria-label={`Window of ${size.width} × ${size.height} lu. Arrow keys change it, Enter opens it as the free window.`}
      transform={`translate(${scale.x(size.width)} ${scale.y(size.height)})`}
      onFocus={() => onPoint(size)}
      onKeyDown={onKeyDown}
    >
      <rect x={-12} y={-12} width={24} height={24} />
      <path d="M-9 0H9M0 -9V9" />
    </g>
  );
}

/** Width across, height up, both logarithmic: what becomes of the scene on a window of that size. */
export function MapPlot({ map, scale, edges, onPoint }: Props) {
  const look = useLook();
  const sizeAt = (e: MouseEvent<SVGRectElement>): Size => {
    const box = e.currentTarget.getBoundingClientRect();
    return {
      width: Math.round(scale.widthAt(e.clientX - box.left)),
      height: Math.round(scale.heightAt(e.clientY - box.top)),
    };
  };
  return (
    <svg
      width={scale.width + edges.left}
      height={scale.height + edges.bottom}
      role="group"
      aria-label="Outcome by width and height of a window"
    >
      <Patterns />
      <g transform={`translate(${edges.left} 0)`}>
        {map && <Areas map={map} scale={scale} />}
        {map && <Axes map={map} scale={scale} />}
        <rect
          className="map-glass"
          width={scale.width}
          height={scale.height}
          onPointerMove={(e) => onPoint(sizeAt(e))}
          onPointerLeave={() => onPoint(null)}
          onClick={(e) => look({ window: sayWindow(sizeAt(e)) })}
        />
        <MapMarks scale={scale} />
        <AllowedRect scale={scale} />
        <Cross scale={scale} onPoint={onPoint} />
      </g>
    </svg>
  );
}
