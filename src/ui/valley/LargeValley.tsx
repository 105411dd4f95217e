'use client';
import { countCases } from '@/core/words/words';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { FIT_LABELS } from '@/core/fit/presets';
import { sayRatio, sayShare } from '@/core/words/numbers';
import { RATIO_FITS } from '@/core/solve/ratio';
import {
  emptyStretches,
  keptWithin,
  VALLEY_MEASURES,
  worstWithin,
  type CurvePoint,
  type Valley,
  type ValleyMeasure,
} from '@/core/solve/valley';
import { NumberField } from '../parts/NumberField';
import { useWorkbench } from '../state/context';
import { BackToField } from '../parts/BackToField';
import { Choices } from '../parts/Choices';
import { useAllowed, type Range } from './allowed';
import { WORDS } from './limits';
import { useValley, type ValleyData } from './useValley';
import { ValleyKey } from './ValleyKey';
import { ValleyChart, type Series } from './ValleyChart';

/** What is compared: fits on one measure, or all measures of the fit in use. */
type Compared = ValleyMeasure | 'all';

const COMPARED: readonly { value: Compared; label: string; title?: string }[] = [
  ...VALLEY_MEASURES.map((value) => ({ value, label: WORDS[value] })),
  { value: 'all', label: 'all', title: 'All measures of the fit in use' },
];
const DASHES = ['', '7 4', '2 3', '10 3 2 3', '1 3'];

/** The curves of a comparison, with how each is drawn. */
function seriesOf({ valleys, range }: ValleyData, compared: Compared): Series[] {
  return valleys.flatMap((valley) => {
    const of = valley.label && `, ${valley.label}`;
    const reach = { low: Math.max(range.low, valley.low), high: Math.min(range.high, valley.high) };
    if (compared === 'all')
      return VALLEY_MEASURES.map((measure, i): Series => {
        const key = `${measure} ${valley.key}`;
        return {
          key,
          label: WORDS[measure] + of,
          measure,
          valley,
          reach,
          tone: i,
          dash: DASHES[i]!,
          inUse: true,
        };
      });
    return RATIO_FITS.map((fit, i): Series => {
      const like = { ...valley, fit };
      const [key, label] = [`${fit} ${valley.key}`, FIT_LABELS[fit] + of];
      return {
        key,
        label,
        measure: compared,
        valley: like,
        reach,
        tone: i,
        dash: DASHES[i]!,
        inUse: fit === valley.fit,
      };
    });
  });
}

/** Ratios far beyond any window: what holds up to there holds on. */
const ANY: Range = { low: 1 / 64, high: 64 };

/** The ratios at which a curve keeps its strictest limit, in words. */
function sayWithin(valley: Valley, measure: ValleyMeasure, max: number | undefined): string {
  if (max === undefined) return 'no limit on it';
  const kept = keptWithin(valley, measure, max, ANY);
  if (kept.length === 0) return 'none';
  return kept
    .map(({ low, high }) => ({ low: low <= ANY.low ? 0 : low, high: high >= ANY.high ? Infinity : high }))
    .map(sayRange)
    .join(' and ');
}

function sayRange({ low, high }: Range): string {
  if (low <= 0) return Number.isFinite(high) ? `up to ${sayRatio(high)}` : 'any';
  return Number.isFinite(high) ? `${sayRatio(low)} to ${sayRatio(high)}` : `from ${sayRatio(low)} on`;
}

function sayWorst(worst: CurvePoint | null): string {
  if (!worst) return 'taken by no case there';
  return worst.loss < 5e-4 ? 'nothing' : `${sayShare(worst.loss)} at ${sayRatio(worst.ratio)}`;
}

function SeriesRow({ series: s, data, allowed }: { series: Series; data: ValleyData; allowed: Range }) {
  const within = { low: Math.max(allowed.low, s.reach.low), high: Math.min(allowed.high, s.reach.high) };
  const worst = within.low < within.high ? worstWithin(s.valley, s.measure, within) : null;
  const [strictest] = data.limits[s.measure].map((l) => l.max!).toSorted((a, b) => a - b);
  return (
    <tr className={s.inUse ? 'in-use' : undefined}>
      <th scope="row">
        <svg width="34" height="8" aria-hidden="true">
          <line className={`tone-${s.tone}`} x2="34" y1="4" y2="4" strokeDasharray={s.dash} />
        </svg>
        {s.label}
      </th>
      <td className="figures">{sayWorst(worst)}</td>
      <td className="figures">{sayWithin(s.valley, s.measure, strictest)}</td>
    </tr>
  );
}

/** What the project allows, in words and numbers, and how many screens lie outside it. */
function AllowedWords({ data }: { data: ValleyData }) {
  const { allowed, isAny, set, onCommit, allowAny } = useAllowed(data.range);
  const outside = data.ratios.filter((r) => r < allowed.low || r > allowed.high).length;
  return (
    <div className="allowed-words">
      <NumberField
        label="Allowed ratios from"
        min={0.05}
        max={20}
        step={0.01}
        value={allowed.low}
        onChange={(r) => set('low', r)}
        onCommit={onCommit}
      />
      <NumberField
        label="to"
        unit="width ÷ height"
        min={0.05}
        max={20}
        step={0.01}
        value={allowed.high}
        onChange={(r) => set('high', r)}
        onCommit={onCommit}
      />
      <p className="quiet">
        {isAny
          ? 'Any ratio is allowed; drag a bound to narrow it.'
          : `${outside} of ${countCases(data.ratios.length)} outside.`}{' '}
        {!isAny && (
          <Button variant="quiet" size="sm" onClick={allowAny}>
            allow any
          </Button>
        )}
      </p>
    </div>
  );
}

interface TableProps {
  data: ValleyData;
  series: readonly Series[];
  first: string;
  gaps: number;
}

/** What each curve loses at most, and at which ratios it keeps its limit. */
function WorstTable({ data, series, first, gaps }: TableProps) {
  const { allowed } = useAllowed(data.range);
  return (
    <div className="large-valley-table" tabIndex={0} role="region" aria-label="Worst losses">
      <table>
        <thead>
          <tr>
            <th scope="col">{first}</th>
            <th scope="col">loses most, over all that is allowed</th>
            <th scope="col">keeps its limit at ratios</th>
          </tr>
        </thead>
        <tbody>
          {series.map((s) => (
            <SeriesRow key={s.key} series={s} data={data} allowed={allowed} />
          ))}
        </tbody>
      </table>
      <p className="quiet">
        Hatched: {gaps} gaps between screens; the curve holds there as well. Marks are the cases with the fit
        in use; dotted upright: the file’s own ratio.
      </p>
    </div>
  );
}

/** The chart with its axes in words, what is allowed, and what is worst. */
function Curves({ data, series, compared }: Pick<TableProps, 'data' | 'series'> & { compared: Compared }) {
  const empty = emptyStretches(data.ratios, data.range);
  const isAll = compared === 'all';
  return (
    <>
      <p className="valley-axes quiet">
        Upwards: {isAll ? 'what is lost' : WORDS[compared]}, a share of the picture. Across: width : height of
        its box. Limits and bounds are dragged, or moved with the arrow keys.
      </p>
      <div className="large-valley" role="group" aria-label="Loss over the ratio of the box">
        <ValleyChart {...{ data, series, empty }} measure={isAll ? null : compared} />
      </div>
      <AllowedWords data={data} />
      <WorstTable {...{ data, series }} first={isAll ? 'measure' : 'fit'} gaps={empty.length} />
    </>
  );
}

/** The valley opened large: curves of all fits or all measures, what the project allows, and where no screen lies. */
export function LargeValley() {
  const data = useValley();
  const [compared, setCompared] = useState<Compared>('crop');
  const series = useMemo(() => (data ? seriesOf(data, compared) : []), [data, compared]);
  const measured = useWorkbench((s) => s.summaries.size > 0);
  return (
    <section className="middle-view" aria-label="Large valley">
      <div className="valley-head">
        {data && (
          <Choices
            label={`What ${data.name} loses, by fit`}
            options={COMPARED}
            value={compared}
            onChoose={setCompared}
          />
        )}
        {compared !== 'all' && <ValleyKey measure={compared} />}
        <BackToField />
      </div>
      {!measured && <p role="status">All cases are being measured…</p>}
      {measured && (!data || series.length === 0) && (
        <p>
          There is no curve here: it takes a background that covers, fits whole, is stretched or matches one
          side, in a box on the screen that cuts it off.
        </p>
      )}
      {data && series.length > 0 && <Curves {...{ data, series, compared }} />}
    </section>
  );
}
