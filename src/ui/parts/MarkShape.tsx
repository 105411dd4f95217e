import type { Outcome } from '@/core/measure/judge';

const SIZE = 3.4;

interface Props {
  x: number;
  y: number;
  /** by the measure that is shown */
  outcome: Outcome;
  /** whether the case fails by something else */
  failsBesides: boolean;
  /** whether it lies on the curve */
  solid: boolean;
  title: string;
  chosen: boolean;
  onOpen?: () => void;
}

/**
 * A case on the valley: a triangle that fails, half a one that warns, a circle that is clear; hollow where the case fails
 * by something else, dashed off the curve.
 */
export function MarkShape({ x, y, outcome, failsBesides, solid, title, chosen, onOpen }: Props) {
  const is = [failsBesides && 'mark-hollow', !solid && 'mark-off', chosen && 'mark-chosen'];
  const className = ['mark', `outcome-${outcome}`, ...is].filter(Boolean).join(' ');
  const triangle = `M${x} ${y - SIZE * 1.2}l${SIZE * 1.15} ${SIZE * 2}h${-SIZE * 2.3}z`;
  return (
    <g className={className} onClick={onOpen}>
      <title>{title}</title>
      {outcome === 'clear' ? (
        <circle cx={x} cy={y} r={SIZE * 0.85} fillOpacity={0.25} />
      ) : (
        <path d={triangle} fillOpacity={outcome === 'warn' ? 0.35 : 0.9} />
      )}
    </g>
  );
}
