'use client';
import type { Rect } from '@/core/geometry/rect';
import { resizedFrame } from '@/core/pictures/cut-frame';
import type { Cut, Rendition } from '@/core/pictures/picture';
import { Preview } from '../../drawing/Preview';
import { AreaBox, laidOver } from '../../parts/AreaBox';

/** CSS px across, twice over for fine screens. */
const PREVIEW = 1200;

interface Props {
  master: Rendition;
  /** of which the marks are shown */
  cut: Cut;
  frame: Rect;
  onChange: (frame: Rect) => void;
}

const isResized = (a: Rect, b: Rect) => a.width !== b.width || a.height !== b.height;

/** A master with the part that is taken of it, which is dragged and keeps its ratio; what has to be seen is outlined. */
export function Frame({ master, cut, frame, onChange }: Props) {
  return (
    <div className="mark-plan make-plan" style={{ aspectRatio: `${master.widthPx} / ${master.heightPx}` }}>
      <Preview file={master} px={{ width: PREVIEW, height: 0 }} />
      {cut.keepAreas.map((area, i) => (
        <span key={i} className="make-keep" style={laidOver(area.rect)} title={area.subject} />
      ))}
      <AreaBox
        name="Frame"
        rect={frame}
        onChange={(next) => onChange(isResized(next, frame) ? resizedFrame(frame, next) : next)}
      />
    </div>
  );
}
