import { axisWords, AXIS_WORDS } from '@/core/sentences/words';
import type { Axis } from '@/core/geometry/rect';
import { useScene } from '../state/context';

/** The words for the sides of an axis as the open scene is drawn: its right-to-left preview turns them about. */
export function useAxisWords(): (axis: Axis) => (typeof AXIS_WORDS)[Axis] {
  const mirrored = useScene().direction === 'rtl';
  return (axis) => axisWords(axis, { mirrored });
}
