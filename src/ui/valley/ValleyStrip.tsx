'use client';
import { Button } from 'react-bootstrap';
import { VALLEY_MEASURES, type ValleyMeasure } from '@/core/solve/valley';
import { ValleyHint } from '../hints/texts';
import { Choices } from '../parts/Choices';
import { useRoving } from '../parts/useRoving';
import { useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { WORDS } from './limits';
import { StripPlot } from './StripPlot';
import { useValley, type ValleyData } from './useValley';
import { ValleyKey } from './ValleyKey';
import { ValleyWords } from './ValleyWords';
import type { StripWindow } from './WindowOnStrip';

/** Of the measures that lose anything, the one that loses most; crop where none does. */
function telling(data: ValleyData): ValleyMeasure {
  const worst = (m: ValleyMeasure) => Math.max(0, ...data.marks.map((mark) => mark.losses[m]));
  return VALLEY_MEASURES.reduce((a, b) => (worst(b) > worst(a) + 1e-9 ? b : a));
}

/** Opens the map of all sizes. */
function ToMap() {
  const look = useLook();
  return (
    <Button
      variant="quiet"
      size="sm"
      title="Every size that a window can have, by what becomes of the scene on it"
      onClick={() => look({ middle: 'map' })}
    >
      all sizes
    </Button>
  );
}

/** Which measure the strip is of. @param measure `undefined` until it is known which one tells most */
function Measures({ name, measure }: { name: string; measure: ValleyMeasure | undefined }) {
  const look = useLook();
  return (
    <Choices
      label={`${name} loses`}
      options={VALLEY_MEASURES.map((value) => ({ value, label: WORDS[value] }))}
      value={measure}
      onChoose={(loss) => look({ loss })}
    />
  );
}

/** What stands there until something is known: as high as what takes its place. */
function Waiting({ name, picked }: { name: string; picked: ValleyMeasure | undefined }) {
  return (
    <section className="valley-strip" aria-label="Valley">
      <div className="valley-head">
        <Measures name={name} measure={picked} />
        <p className="valley-tools quiet" role="status">
          What {name} loses is being measured…
        </p>
      </div>
      <div className="valley" />
    </section>
  );
}

interface ToolsProps {
  data: ValleyData;
  measure: ValleyMeasure;
  isFree: boolean;
}

/** Words, key, and the ways to more of it. */
function Tools({ data, measure, isFree }: ToolsProps) {
  const look = useLook();
  const roving = useRoving<HTMLDivElement>();
  return (
    <div className="valley-tools" {...roving}>
      <ValleyWords data={data} measure={measure} narrows={!isFree} />
      <ValleyKey measure={measure} />
      {!isFree && (
        <Button
          variant="quiet"
          size="sm"
          title="Compare fits and measures over all ratios"
          onClick={() => look({ middle: 'valley' })}
        >
          enlarge
        </Button>
      )}
      {!isFree && <ToMap />}
    </div>
  );
}

/**
 * The valley of the background above the field: aspect ratio across, loss upwards, every case a mark.
 * @param free a window that is dragged over it, instead of a stretch that narrows the field
 */
export function ValleyStrip({ free }: { free?: StripWindow }) {
  const data = useValley();
  const picked = useWorkbench((s) => s.view.loss);
  const isMeasured = useWorkbench((s) => s.summaries.size > 0);
  if (!data || (isMeasured && data.marks.length === 0)) return null;
  if (!isMeasured) return <Waiting name={data.name} picked={picked} />;
  const measure = picked ?? telling(data);
  return (
    <section className="valley-strip" aria-label="Valley">
      <div className="valley-head">
        <Measures name={data.name} measure={measure} />
        <Tools {...{ data, measure }} isFree={free !== undefined} />
        {free && (
          <span className="quiet">
            Drag the window along it. Ticks stand where its width changes something.
          </span>
        )}
      </div>
      {!free && <ValleyHint />}
      <StripPlot data={data} measure={measure} free={free} />
    </section>
  );
}
