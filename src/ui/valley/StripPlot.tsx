'use client';
import { memo, type PointerEvent } from 'react';
import { sayRatio, sayShare } from '@/core/words/numbers';
import type { Mark } from '@/core/solve/mark';
import { findCase } from '@/core/screens/cases';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { ratiosOf } from '../state/view';
import { caseName } from '../words';
import { GripKnob } from '../parts/GripKnob';
import { MarkShape } from '../parts/MarkShape';
import { RATIO_LABELS, xOf, yOf, type ValleyScale } from './scale';
import { WORDS, type ValleyProps } from './limits';
import { distinct, judgedBy } from './marks';
import { Curve, HeldRange } from './StripCurves';
import { useStripDrag } from './useStripDrag';
import { WindowOnStrip, type StripWindow } from './WindowOnStrip';

type Scaled = { scale: ValleyScale };

/** The usual ratios as lines, and what the axes say. */
function Axes({ scale, measure }: Pick<ValleyProps, 'measure'> & Scaled) {
  return (
    <>
      {RATIO_LABELS.filter(([r]) => r > scale.low && r < scale.high).map(([r, label]) => (
        <g key={label}>
          <line className="valley-tick" x1={xOf(scale, r)} x2={xOf(scale, r)} y1={0} y2={scale.height - 14} />
          <text className="valley-label" x={xOf(scale, r)} y={scale.height - 3} textAnchor="middle">
            {label}
          </text>
        </g>
      ))}
      <text className="valley-label" x={2} y={9}>
        {WORDS[measure]}, up to {sayShare(scale.most)}
      </text>
      <text className="valley-label" x={scale.width - 2} y={9} textAnchor="end">
        width : height of its box
      </text>
    </>
  );
}

interface LimitsProps extends ValleyProps, Scaled {
  onDown: (outcome: string) => (e: PointerEvent) => void;
}

/** The limits of what is shown, to be dragged. */
function Limits({ data, measure, scale, onDown }: LimitsProps) {
  return data.limits[measure].map((l) => {
    const at = { x1: 0, x2: scale.width, y1: yOf(scale, l.max!), y2: yOf(scale, l.max!) };
    return (
      <g key={l.outcome} className={`valley-limit outcome-${l.outcome}`}>
        <line {...at} />
        <line className="valley-grip" {...at} onPointerDown={onDown(l.outcome)} />
        <GripKnob x={scale.width - 18} y={at.y1} onPointerDown={onDown(l.outcome)} />
      </g>
    );
  });
}

/** Every case where it lies; a click opens it, unless a window is dragged over them. */
const Marks = memo(function Marks({
  data,
  measure,
  scale,
  dragged,
}: ValleyProps & Scaled & { dragged: boolean }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.sceneScreens);
  const chosen = useWorkbench((s) => s.view.case);
  const open = (id: string) => store.setState({ view: { ...store.getState().view, case: id } });
  const placeOf = (m: Mark) => ({ x: xOf(scale, m.ratio), y: yOf(scale, m.losses[measure]) });
  return distinct(data.marks, measure, placeOf, chosen).map((m) => {
    const c = findCase(m.caseId, screens);
    const { look, said } = judgedBy(m, measure);
    return (
      <MarkShape
        key={m.caseId}
        {...placeOf(m)}
        {...look}
        title={`${c ? caseName(c) : m.caseId}: ${said}`}
        chosen={!dragged && m.caseId === chosen}
        onOpen={dragged ? undefined : () => open(m.caseId)}
      />
    );
  });
});

/** @param free a window that is dragged over it, instead of a stretch that narrows the field */
export function StripPlot({ data, measure, free }: ValleyProps & { free?: StripWindow }) {
  const view = useWorkbench((s) => s.view);
  const { svg, scale, brushOver, onDown, onLimitDown, onMove, onUp } = useStripDrag(data, measure, free);
  const brush = brushOver(ratiosOf(view));
  const shared = { data, measure, scale };
  return (
    <svg
      ref={svg}
      className="valley"
      viewBox={`0 0 ${scale.width} ${scale.height}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${data.name}: ${WORDS[measure]} over the ratio of its box, ${data.marks.length} cases${free ? `; the free window at ${sayRatio(free.ratio)}` : ''}`}
      onPointerDown={onDown}
      onPointerMove={onMove}
      onPointerUp={onUp}
      onPointerCancel={onUp}
    >
      {brush && (
        <rect className="valley-brush" x={brush[0]} width={brush[1] - brush[0]} y={0} height={scale.height} />
      )}
      <Axes {...shared} />
      {data.valleys.map((v) => (
        <Curve key={v.key} {...{ v, measure, scale }} />
      ))}
      <HeldRange {...shared} />
      <Limits {...shared} onDown={onLimitDown} />
      <Marks {...shared} dragged={free !== undefined} />
      {free && <WindowOnStrip window={free} measure={measure} scale={scale} />}
    </svg>
  );
}
