import type { PointerEvent } from 'react';
import { HANDLE } from './pointing';

interface Props {
  /** of its middle, in units of the drawing */
  x: number;
  y: number;
  onPointerDown?: (e: PointerEvent) => void;
}

/** What a finger takes a value of a chart by; it is only seen where there are fingers. */
export const GripKnob = ({ x, y, onPointerDown }: Props) => (
  <g className="grip-knob" transform={`translate(${x} ${y})`} {...HANDLE} onPointerDown={onPointerDown}>
    <circle className="grip-knob-room" r={16} />
    <circle className="grip-knob-sign" r={7} />
  </g>
);
