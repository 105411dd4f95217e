'use client';
import { bottom, fromSize, partOf, right, type Rect, type Size } from '@/core/geometry/rect';
import { areaWithin } from '@/core/pictures/areas';
import { AreaBox } from '../parts/AreaBox';

/** lu by which an arrow key moves what is left out. */
const STEP = 4;

interface Props {
  /** lu */
  rect: Rect;
  /** of the screen, lu */
  size: Size;
  name: string;
  onChange: (rect: Rect) => void;
}

/** Whole lu, edge by edge, so that what is moved keeps its size. */
function wholeLu(r: Rect): Rect {
  const [left, top] = [Math.round(r.x), Math.round(r.y)];
  return { x: left, y: top, width: Math.round(right(r)) - left, height: Math.round(bottom(r)) - top };
}

/** A part that is left out of a screenshot: dragged, made larger at its corner, or by keys; it stays on the screen. */
export function Mask({ rect, size, name, onChange }: Props) {
  const screen = fromSize(size);
  return (
    <AreaBox
      className="shot-mask"
      name={name}
      isNamed={false}
      rect={areaWithin(rect, screen)}
      step={{ x: STEP / size.width, y: STEP / size.height }}
      onChange={(share) => onChange(wholeLu(partOf(screen, share)))}
    />
  );
}
