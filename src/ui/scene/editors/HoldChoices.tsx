'use client';
import type { Axis } from '@/core/geometry/rect';
import type { Hold } from '@/core/placing/convert';
import { Choices } from '../../workbench/Choices';

const HOLDS: Record<Axis, { value: Hold; label: string }[]> = {
  x: [
    { value: 'start', label: 'left' },
    { value: 'middle', label: 'middle' },
    { value: 'end', label: 'right' },
    { value: 'edges', label: 'both' },
  ],
  y: [
    { value: 'start', label: 'top' },
    { value: 'middle', label: 'middle' },
    { value: 'end', label: 'bottom' },
    { value: 'edges', label: 'both' },
  ],
};

interface Props {
  axis: Axis;
  value: Hold;
  onChoose: (hold: Hold) => void;
}

/** By which edges a layer is held along one axis. */
export const HoldChoices = ({ axis, value, onChoose }: Props) => (
  <Choices
    label={axis === 'x' ? 'Held across by' : 'Held down by'}
    options={HOLDS[axis]}
    value={value}
    onChoose={onChoose}
  />
);
