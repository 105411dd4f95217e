'use client';
import { useMemo, useRef, useState, type PointerEvent } from 'react';
import { useElementSize } from '../drawing/useElementSize';
import { useWorkbenchStore } from '../state/context';
import type { ValleyMeasure } from '@/core/solve/valley';
import { takesHold } from '../parts/pointing';
import { useLimit } from './limits';
import { lossAtY, ratioAt, xOf, type ValleyScale } from './scale';
import type { ValleyData } from './useValley';
import type { StripWindow } from './WindowOnStrip';

const HEIGHT = 106;
/** Before it is known. */
const USUAL_WIDTH = 640;
/** A click moves less than this, in units of the view box. */
const LEAST_BRUSH = 6;

/** What the pointer is doing on the strip. */
type Drag =
  | { kind: 'brush'; from: number; to: number }
  | { kind: 'limit'; outcome: string }
  | { kind: 'window' }
  | null;

/** How the strip is laid out: as wide as its place, and as high as what is lost, or a little more than the limits. */
function scaleOf({ limits, marks, range }: ValleyData, measure: ValleyMeasure, width: number): ValleyScale {
  const highest = Math.max(
    0.1,
    ...limits[measure].map((l) => l.max! * 1.15),
    ...marks.map((m) => m.losses[measure] * 1.05),
  );
  return { width: width || USUAL_WIDTH, height: HEIGHT, ...range, most: Math.min(1, highest) };
}

/** What is dragged on the strip: a stretch that narrows the field, a limit, or the free window. */
export function useStripDrag(data: ValleyData, measure: ValleyMeasure, free: StripWindow | undefined) {
  const store = useWorkbenchStore();
  const { set, onCommit } = useLimit(measure);
  const svg = useRef<SVGSVGElement>(null);
  const { width } = useElementSize(svg);
  const scale = useMemo(() => scaleOf(data, measure, width), [data, measure, width]);
  const [drag, setDrag] = useState<Drag>(null);
  const pointOf = (e: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    return {
      x: ((e.clientX - box.left) / box.width) * scale.width,
      y: ((e.clientY - box.top) / box.height) * scale.height,
    };
  };
  const onDown = (e: PointerEvent<Element>) => {
    if (!takesHold(e)) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    const { x } = pointOf(e);
    free?.onRatio(ratioAt(scale, x));
    setDrag(free ? { kind: 'window' } : { kind: 'brush', from: x, to: x });
  };
  const onLimitDown = (outcome: string) => (e: PointerEvent) => {
    e.stopPropagation();
    if (!takesHold(e)) return;
    svg.current!.setPointerCapture(e.pointerId);
    setDrag({ kind: 'limit', outcome });
  };
  const onMove = (e: PointerEvent) => {
    if (!drag) return;
    const { x, y } = pointOf(e);
    if (drag.kind === 'limit') set(drag.outcome, lossAtY(scale, y));
    else if (drag.kind === 'window') free?.onRatio(ratioAt(scale, x));
    else setDrag({ ...drag, to: x });
  };
  const onUp = () => {
    if (drag?.kind === 'limit') onCommit();
    if (drag?.kind === 'brush' && Math.abs(drag.to - drag.from) >= LEAST_BRUSH) {
      const [low, high] = [drag.from, drag.to].map((x) => ratioAt(scale, x)).toSorted((a, b) => a - b);
      const ratios = `${low!.toFixed(3)}-${high!.toFixed(3)}`;
      store.setState({ view: { ...store.getState().view, ratios } });
    }
    setDrag(null);
  };
  /** @param chosen the stretch that the field is narrowed to */
  const brushOver = (chosen: { low: number; high: number } | null): [number, number] | null => {
    if (drag?.kind === 'brush') return [Math.min(drag.from, drag.to), Math.max(drag.from, drag.to)];
    return chosen && [xOf(scale, chosen.low), xOf(scale, chosen.high)];
  };
  return { svg, scale, brushOver, onDown, onLimitDown, onMove, onUp };
}
