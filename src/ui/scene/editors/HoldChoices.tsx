'use client';
import type { Axis } from '@/core/geometry/rect';
import type { Hold } from '@/core/placing/convert';
import { Choices } from '../../parts/Choices';
import { useAxisWords } from '../useAxisWords';

interface Props {
  axis: Axis;
  value: Hold;
  onChoose: (hold: Hold) => void;
}

/** By which edges a layer is held along one axis. */
export function HoldChoices({ axis, value, onChoose }: Props) {
  const { start, end } = useAxisWords()(axis);
  const options: { value: Hold; label: string }[] = [
    { value: 'start', label: start },
    { value: 'middle', label: 'middle' },
    { value: 'end', label: end },
    { value: 'edges', label: 'both' },
  ];
  return (
    <Choices
      label={axis === 'x' ? 'Across, aligned by' : 'Down, aligned by'}
      options={options}
      value={value}
      onChoose={onChoose}
    />
  );
}
