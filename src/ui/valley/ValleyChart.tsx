'use client';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { sayShare } from '@/core/words/numbers';
import { findCase } from '@/core/screens/cases';
import { curve, type Valley, type ValleyMeasure } from '@/core/solve/valley';
import type { Mark } from '@/core/solve/mark';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { openCase } from '../state/open-case';
import { caseName } from '../words';
import { AllowedBounds } from './AllowedBounds';
import type { Range } from './allowed';
import { LimitLines } from './LimitLines';
import { MarkShape } from '../parts/MarkShape';
import { distinct, judgedBy } from './marks';
import { RATIO_LABELS, xOf, yOf } from './scale';
import type { ValleyData } from './useValley';

/** A curve of the chart and how it is drawn. */
export interface Series {
  key: string;
  label: string;
  measure: ValleyMeasure;
  valley: Valley;
  /** the ratios at which it is drawn: those at which it is that of some case */
  reach: Range;
  /** which of the tones */
  tone: number;
  dash: string;
  inUse: boolean;
}

interface Props {
  data: ValleyData;
  series: readonly Series[];
  /** whose marks and limits are shown; `null` where several measures are */
  measure: ValleyMeasure | null;
  empty: readonly Range[];
}

/** About how large the chart is, px: by it marks are told apart. */
const ABOUT = { width: 900, height: 500 };

const TONES = ['crop', 'bare', 'distortion', 'softness', 'ink-2'].map((tone) => `var(--${tone})`);
const ratioWords = new Map(RATIO_LABELS.map(([ratio, label]) => [ratio, label]));

/** A case as recharts hands it to a shape. */
interface Shaped {
  cx?: number;
  cy?: number;
  mark?: Mark;
}

/** A case on the chart. */
function ChartMark({ cx, cy, mark, measure }: Shaped & { measure: ValleyMeasure }) {
  const store = useWorkbenchStore();
  const screens = useWorkbench((s) => s.sceneScreens);
  const chosen = useWorkbench((s) => s.view.case);
  if (cx === undefined || cy === undefined || !mark) return null;
  const c = findCase(mark.caseId, screens);
  const { look, said } = judgedBy(mark, measure);
  return (
    <MarkShape
      x={cx}
      y={cy}
      {...look}
      title={`${c ? caseName(c) : mark.caseId}: ${said}`}
      chosen={mark.caseId === chosen}
      onOpen={() => openCase(store, mark.caseId)}
    />
  );
}

/** The cases of a measure, as recharts takes them. */
function pointsOf({ marks, range: { low, high } }: ValleyData, measure: ValleyMeasure, chosen?: string) {
  const scale = { ...ABOUT, low, high, most: 1 };
  const placeOf = (m: Mark) => ({ x: xOf(scale, m.ratio), y: yOf(scale, m.losses[measure]) });
  const within = marks.filter((m) => m.ratio >= low && m.ratio <= high);
  return distinct(within, measure, placeOf, chosen).map((mark) => ({
    ratio: mark.ratio,
    loss: Math.min(1, mark.losses[measure]),
    mark,
  }));
}

/** How stretches without screens are filled. */
const NO_SCREENS = (
  <defs>
    <pattern id="no-screens" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1="0" x2="0" y1="0" y2="6" stroke="var(--line)" strokeWidth="3" />
    </pattern>
  </defs>
);
const AXIS = {
  type: 'number',
  allowDataOverflow: true,
  tickLine: false,
  stroke: 'var(--ink-2)',
  tick: { fill: 'var(--ink-2)', fontSize: 'var(--text-figure)' },
} as const;

/** The curves, one after another. */
function linesOf(series: readonly Series[]) {
  return series.map((s) => (
    <Line
      key={s.key}
      data={curve(s.valley, s.measure, s.reach, 200)}
      dataKey="loss"
      dot={false}
      activeDot={false}
      isAnimationActive={false}
      type="linear"
      stroke={TONES[s.tone]}
      strokeWidth={s.inUse ? 2.4 : 1.5}
      strokeDasharray={s.dash}
    />
  ));
}

/** Loss over the ratio of the box: curves, cases, limits, stretches without screens, and what the project allows. */
export function ValleyChart({ data, series, measure, empty }: Props) {
  const { low, high } = data.range;
  const chosen = useWorkbench((s) => s.view.case);
  const marks = measure ? pointsOf(data, measure, chosen) : [];
  const ticks = RATIO_LABELS.map(([ratio]) => ratio).filter((r) => r > low && r < high);
  const owns = [...new Set(series.map((s) => s.valley.own))];
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart margin={{ top: 10, right: 16, bottom: 4, left: 0 }} accessibilityLayer={false}>
        {NO_SCREENS}
        {empty.map(({ low: x1, high: x2 }) => (
          <ReferenceArea key={x1} {...{ x1, x2 }} fill="url(#no-screens)" fillOpacity={1} stroke="none" />
        ))}
        <CartesianGrid stroke="var(--line)" strokeDasharray="" vertical={false} />
        <XAxis
          {...AXIS}
          dataKey="ratio"
          scale="log"
          domain={[low, high]}
          ticks={ticks}
          tickFormatter={(r: number) => ratioWords.get(r) ?? ''}
        />
        <YAxis
          {...AXIS}
          dataKey="loss"
          domain={[0, 1]}
          ticks={[0, 0.25, 0.5, 0.75, 1]}
          tickFormatter={sayShare}
          width={52}
        />
        {owns.map((own) => (
          <ReferenceLine key={own} x={own} stroke="var(--ink-2)" strokeDasharray="3 3" />
        ))}
        {linesOf(series)}
        <Scatter
          data={marks}
          dataKey="loss"
          shape={(m: Shaped) => (measure ? <ChartMark {...m} measure={measure} /> : <g />)}
          isAnimationActive={false}
        />
        {measure && <LimitLines limits={data.limits[measure]} measure={measure} />}
        <AllowedBounds whole={data.range} />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
