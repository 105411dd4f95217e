'use client';
import type { KeyboardEvent, PointerEvent } from 'react';
import { GripKnob } from '../parts/GripKnob';
import { useGrip } from '../parts/pointing';
import type { MapScale } from './map-scale';
import { useAllowedWindow, type Bound, type WindowAxis } from './useAllowedWindow';

const SIDES: readonly { axis: WindowAxis; bound: Bound; label: string }[] = [
  { axis: 'width', bound: 'low', label: 'Least width allowed' },
  { axis: 'width', bound: 'high', label: 'Greatest width allowed' },
  { axis: 'height', bound: 'low', label: 'Least height allowed' },
  { axis: 'height', bound: 'high', label: 'Greatest height allowed' },
];
const STEPS: Record<string, number> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: -50,
  PageUp: 50,
};

const within = (v: number, most: number) => Math.min(most, Math.max(0, v));

type Lines = { x1: number; x2: number; y1: number; y2: number };

interface SideProps {
  side: (typeof SIDES)[number];
  scale: MapScale;
  at: Lines;
}

/** One side: dragged, or moved with the arrow keys. */
function Side({ side: { axis, bound, label }, scale, at }: SideProps) {
  const { allowed, set, onCommit } = useAllowedWindow();
  const isAcross = axis === 'width';
  const onDrag = (e: PointerEvent<SVGGElement>) => {
    const box = e.currentTarget.ownerSVGElement!.querySelector('.map-glass')!.getBoundingClientRect();
    set(axis, bound, isAcross ? scale.widthAt(e.clientX - box.left) : scale.heightAt(e.clientY - box.top));
  };
  const onStep = (step: number, e: KeyboardEvent) =>
    set(axis, bound, allowed[axis][bound] + step * (e.shiftKey ? 10 : 1));
  const grip = useGrip({ steps: STEPS, onDrag, onStep, onCommit });
  return (
    <g
      className={`map-side map-side-${axis}`}
      {...grip}
      aria-label={label}
      aria-orientation={isAcross ? 'horizontal' : 'vertical'}
      aria-valuemin={1}
      aria-valuemax={10_000}
      aria-valuenow={allowed[axis][bound]}
      aria-valuetext={`${allowed[axis][bound]} lu`}
    >
      <line className="map-side-grip" {...at} />
      <line className="map-side-line" {...at} />
      <GripKnob x={(at.x1 + at.x2) / 2} y={(at.y1 + at.y2) / 2} />
    </g>
  );
}

/** The sizes that are allowed, as a rectangle whose sides are dragged or moved with the arrow keys. */
export function AllowedRect({ scale }: { scale: MapScale }) {
  const { allowed, isAny } = useAllowedWindow();
  if (isAny) return null;
  const left = within(scale.x(allowed.width.low), scale.width);
  const right = within(scale.x(allowed.width.high), scale.width);
  const top = within(scale.y(allowed.height.high), scale.height);
  const bottom = within(scale.y(allowed.height.low), scale.height);
  const at = (axis: WindowAxis, bound: Bound): Lines => {
    const x = bound === 'low' ? left : right;
    const y = bound === 'low' ? bottom : top;
    return axis === 'width' ? { x1: x, x2: x, y1: top, y2: bottom } : { x1: left, x2: right, y1: y, y2: y };
  };
  return (
    <g className="map-allowed">
      <rect x={left} y={top} width={Math.max(0, right - left)} height={Math.max(0, bottom - top)} />
      {SIDES.map((side) => (
        <Side key={side.label} {...{ side, scale }} at={at(side.axis, side.bound)} />
      ))}
    </g>
  );
}
