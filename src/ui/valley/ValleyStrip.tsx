'use client';
import { useRef, useState, type PointerEvent } from 'react';
import { Button } from 'react-bootstrap';
import { sayRatio, sayShare } from '@/core/words/numbers';
import { capitalised } from '@/core/words/words';
import { findCase } from '@/core/screens/cases';
import { heldAll } from '@/core/solve/ratio';
import { curve, VALLEY_MEASURES, type ValleyMeasure } from '@/core/solve/valley';
import { useElementSize } from '../drawing/useElementSize';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { ratiosOf } from '../state/view';
import { caseName } from '../words';
import { Choices } from '../parts/Choices';
import { MarkShape } from './MarkShape';
import { lossAtY, RATIO_LABELS, ratioAt, xOf, yOf, type ValleyScale } from './scale';
import { useLimit, WORDS, type ValleyProps } from './limits';
import type { NamedValley } from './named';
import { judgedBy } from './marks';
import { ValleyKey } from './ValleyKey';
import { useValley, type ValleyData } from './useValley';
import type { Range } from './allowed';
import { ValleyWords } from './ValleyWords';
import { WindowOnStrip, type StripWindow } from './WindowOnStrip';

const HEIGHT = 106;
/** Before it is known. */
const USUAL_WIDTH = 640;
/** A click moves less than this, in units of the view box. */
const LEAST_BRUSH = 6;

/** Of the measures that lose anything, the one that loses most; crop where none does. */
function telling(data: ValleyData): ValleyMeasure {
  const worst = (m: ValleyMeasure) => Math.max(0, ...data.marks.map((mark) => mark.losses[m]));
  return VALLEY_MEASURES.reduce((a, b) => (worst(b) > worst(a) + 1e-9 ? b : a));
}

/** The part of the strip on which a curve is that of some case. */
const reachOf = ({ low, high }: NamedValley, scale: ValleyScale): Range => ({
  low: Math.max(scale.low, low),
  high: Math.min(scale.high, high),
});

const pathOf = (v: NamedValley, measure: ValleyMeasure, range: Range, scale: ValleyScale) =>
  curve(v, measure, range)
    .map(({ ratio, loss }, i) => `${i ? 'L' : 'M'}${xOf(scale, ratio)} ${yOf(scale, loss)}`)
    .join('');

/** A curve and the ratio of its file; faint where none of its own cases lies. */
function Curve({ v, measure, scale }: Pick<ValleyProps, 'measure'> & { v: NamedValley; scale: ValleyScale }) {
  const own = xOf(scale, v.own);
  const className = `valley-curve measure-${measure}`;
  const reach = reachOf(v, scale);
  const isPart = reach.low > scale.low || reach.high < scale.high;
  return (
    <g>
      {v.label && <title>{capitalised(v.label)}</title>}
      <line className="valley-own" x1={own} x2={own} y1={0} y2={scale.height - 14} />
      {isPart && <path className={`${className} valley-curve-faint`} d={pathOf(v, measure, scale, scale)} />}
      <path className={className} d={pathOf(v, measure, reach, scale)} />
    </g>
  );
}

/** Under the curve of the keep areas: the ratios at which the position in use shows all of them whole. */
function HeldRange({ data, measure, scale }: ValleyProps & { scale: ValleyScale }) {
  if (measure !== 'keep-lost') return null;
  return data.valleys.flatMap((v) => {
    const { fit, own, areas, position } = v;
    const range =
      fit === 'cover' && areas.length > 0 ? heldAll(areas, { width: own, height: 1 }, position) : null;
    if (!range) return [];
    const within = reachOf(v, scale);
    const from = Math.max(0, xOf(scale, Math.max(range.low, within.low)));
    const to = xOf(scale, Math.min(range.high, within.high));
    return [
      <rect
        key={v.key}
        className="valley-held"
        x={from}
        width={Math.max(0, to - from)}
        y={scale.height - 20}
        height={5}
      >
        <title>{`${v.label && `${capitalised(v.label)}: `}All keep areas are seen whole from ${sayRatio(range.low)} to ${sayRatio(range.high)}, width ÷ height`}</title>
      </rect>,
    ];
  });
}

/** What the pointer is doing on the strip. */
type Drag =
  | { kind: 'brush'; from: number; to: number }
  | { kind: 'limit'; outcome: string }
  | { kind: 'window' }
  | null;

function Plot({ data, measure, free }: ValleyProps & { free?: StripWindow }) {
  const store = useWorkbenchStore();
  const view = useWorkbench((s) => s.view);
  const screens = useWorkbench((s) => s.screens);
  const { set, onCommit } = useLimit(measure);
  const svg = useRef<SVGSVGElement>(null);
  const size = { width: useElementSize(svg).width || USUAL_WIDTH, height: HEIGHT };
  const [drag, setDrag] = useState<Drag>(null);
  const highest = Math.max(
    0.1,
    ...data.limits[measure].map((l) => l.max! * 1.15),
    ...data.marks.map((m) => m.losses[measure] * 1.05),
  );
  const scale: ValleyScale = { ...size, ...data.range, most: Math.min(1, highest) };
  const chosen = ratiosOf(view);

  const pointOf = (e: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    return {
      x: ((e.clientX - box.left) / box.width) * size.width,
      y: ((e.clientY - box.top) / box.height) * size.height,
    };
  };
  const open = (id: string) => store.setState({ view: { ...store.getState().view, case: id } });
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
  const brush =
    drag?.kind === 'brush'
      ? [Math.min(drag.from, drag.to), Math.max(drag.from, drag.to)]
      : chosen && [xOf(scale, chosen.low), xOf(scale, chosen.high)];

  return (
    <svg
      ref={svg}
      className="valley"
      viewBox={`0 0 ${size.width} ${size.height}`}
      preserveAspectRatio="none"
      role="img"
      aria-label={`${data.name}: ${WORDS[measure]} over the ratio of its box, ${data.marks.length} cases${free ? `; the free window at ${sayRatio(free.ratio)}` : ''}`}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        const { x } = pointOf(e);
        free?.onRatio(ratioAt(scale, x));
        setDrag(free ? { kind: 'window' } : { kind: 'brush', from: x, to: x });
      }}
      onPointerMove={onMove}
      onPointerUp={onUp}
    >
      {brush && (
        <rect
          className="valley-brush"
          x={brush[0]}
          width={brush[1]! - brush[0]!}
          y={0}
          height={size.height}
        />
      )}
      {RATIO_LABELS.filter(([r]) => r > scale.low && r < scale.high).map(([r, label]) => (
        <g key={label}>
          <line className="valley-tick" x1={xOf(scale, r)} x2={xOf(scale, r)} y1={0} y2={size.height - 14} />
          <text className="valley-label" x={xOf(scale, r)} y={size.height - 3} textAnchor="middle">
            {label}
          </text>
        </g>
      ))}
      <text className="valley-label" x={2} y={9}>
        {WORDS[measure]}, up to {sayShare(scale.most)}
      </text>
      <text className="valley-label" x={size.width - 2} y={9} textAnchor="end">
        width : height of its box
      </text>
      {data.valleys.map((v) => (
        <Curve key={v.key} {...{ v, measure, scale }} />
      ))}
      <HeldRange {...{ data, measure, scale }} />
      {data.limits[measure].map((l) => (
        <g key={l.outcome} className={`valley-limit outcome-${l.outcome}`}>
          <line x1={0} x2={size.width} y1={yOf(scale, l.max!)} y2={yOf(scale, l.max!)} />
          <line
            className="valley-grip"
            x1={0}
            x2={size.width}
            y1={yOf(scale, l.max!)}
            y2={yOf(scale, l.max!)}
            onPointerDown={(e) => {
              e.stopPropagation();
              svg.current!.setPointerCapture(e.pointerId);
              setDrag({ kind: 'limit', outcome: l.outcome });
            }}
          />
        </g>
      ))}
      {data.marks.map((m) => {
        const c = findCase(m.caseId, screens);
        const { look, said } = judgedBy(m, measure);
        return (
          <MarkShape
            key={m.caseId}
            x={xOf(scale, m.ratio)}
            y={yOf(scale, m.losses[measure])}
            {...look}
            title={`${c ? caseName(c) : m.caseId}: ${said}`}
            chosen={!free && m.caseId === view.case}
            onOpen={free ? undefined : () => open(m.caseId)}
          />
        );
      })}
      {free && <WindowOnStrip window={free} measure={measure} scale={scale} />}
    </svg>
  );
}

/**
 * The valley of the background above the field: aspect ratio across, loss upwards, every case a mark.
 * @param free a window that is dragged over it, instead of a stretch that narrows the field
 */
export function ValleyStrip({ free }: { free?: StripWindow }) {
  const data = useValley();
  const store = useWorkbenchStore();
  const [picked, setPicked] = useState<ValleyMeasure | null>(null);
  const isMeasured = useWorkbench((s) => s.summaries.size > 0);
  if (!data || (isMeasured && data.marks.length === 0)) return null;
  if (!isMeasured)
    return (
      <section className="valley-strip" aria-label="Valley">
        <div className="valley-head">
          <p className="valley-waits" role="status">
            What {data.name} loses is being measured…
          </p>
        </div>
        <div className="valley" />
      </section>
    );
  const measure = picked ?? telling(data);
  return (
    <section className="valley-strip" aria-label="Valley">
      <div className="valley-head">
        <Choices
          label={`What ${data.name} loses`}
          options={VALLEY_MEASURES.map((value) => ({ value, label: WORDS[value] }))}
          value={measure}
          onChoose={setPicked}
        />
        <div className="valley-tools">
          <ValleyWords data={data} measure={measure} narrows={!free} />
          <ValleyKey measure={measure} />
          {!free && (
            <Button
              variant="quiet"
              size="sm"
              title="Compare fits and measures over all ratios"
              onClick={() => store.setState(({ view }) => ({ view: { ...view, middle: 'valley' } }))}
            >
              large
            </Button>
          )}
        </div>
        {free && (
          <span className="quiet">
            Drag the window along it. Ticks stand where its width changes something.
          </span>
        )}
      </div>
      <Plot data={data} measure={measure} free={free} />
    </section>
  );
}
