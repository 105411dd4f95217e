import { bottom, distances, right, type Side } from '@/core/geometry/rect';
import { sayNumber } from '@/core/words/numbers';
import type { Regions } from '@/core/screens/regions';

/** Room around the drawing for its dimension lines, CSS px. */
export const DIMENSION_ROOM = { left: 38, right: 34, top: 20, bottom: 20 };
const TICK = 4;
const AWAY = 9;

interface LineProps {
  from: number;
  to: number;
  at: number;
  vertical?: boolean;
  label: string;
  className: string;
}

/** A measured line with end ticks; its figure stands beside it. */
function Line({ from, to, at, vertical, label, className }: LineProps) {
  const middle = (from + to) / 2;
  const path = vertical
    ? `M${at} ${from}V${to}M${at - TICK} ${from}h${2 * TICK}M${at - TICK} ${to}h${2 * TICK}`
    : `M${from} ${at}H${to}M${from} ${at - TICK}v${2 * TICK}M${to} ${at - TICK}v${2 * TICK}`;
  return (
    <g className={className}>
      <path d={path} fill="none" stroke="currentColor" strokeWidth="1" />
      <text x={vertical ? at : middle} y={vertical ? middle + 4 : at + 4} textAnchor="middle">
        {label}
      </text>
    </g>
  );
}

/** Width and height of the screen, and how far the safe area stands off each side where it does. */
export function Dimensions({ regions, scale }: { regions: Regions; scale: number }) {
  const { screen, safe } = regions;
  const w = screen.width * scale;
  const h = screen.height * scale;
  const off = distances(safe, screen);
  const inset = (side: Side) => off[side] > 0.05;
  const label = (side: Side) => sayNumber(off[side]);
  const { left, top } = DIMENSION_ROOM;
  const outer = { width: w + left + DIMENSION_ROOM.right, height: h + top + DIMENSION_ROOM.bottom };
  return (
    <svg
      className="dimensions figures"
      {...outer}
      viewBox={`${-left} ${-top} ${outer.width} ${outer.height}`}
    >
      <Line className="dimension" from={0} to={w} at={-AWAY} label={sayNumber(screen.width)} />
      <Line className="dimension" from={0} to={h} at={-AWAY - 6} vertical label={sayNumber(screen.height)} />
      <g className="dimension-safe">
        {inset('top') && <Offset x={w} y={safe.y * scale} from={0} label={label('top')} vertical />}
        {inset('bottom') && (
          <Offset x={w} y={h} from={bottom(safe) * scale} label={label('bottom')} vertical />
        )}
        {inset('left') && <Offset x={safe.x * scale} y={h} from={0} label={label('left')} />}
        {inset('right') && <Offset x={w} y={h} from={right(safe) * scale} label={label('right')} />}
      </g>
    </svg>
  );
}

/** The depth of an inset, outside the drawing: at its right for top and bottom, below it for left and right. */
function Offset(p: { x: number; y: number; from: number; label: string; vertical?: boolean }) {
  if (p.vertical) {
    const at = p.x + AWAY;
    return (
      <g>
        <path
          d={`M${at} ${p.from}V${p.y}M${at - TICK} ${p.from}h${2 * TICK}M${at - TICK} ${p.y}h${2 * TICK}`}
        />
        <text x={at + 6} y={(p.from + p.y) / 2 + 4}>
          {p.label}
        </text>
      </g>
    );
  }
  const at = p.y + AWAY - 2;
  return (
    <g>
      <path
        d={`M${p.from} ${at}H${p.x}M${p.from} ${at - TICK}v${2 * TICK}M${p.x} ${at - TICK}v${2 * TICK}`}
      />
      <text x={(p.from + p.x) / 2} y={at + 13} textAnchor="middle">
        {p.label}
      </text>
    </g>
  );
}
