'use client';
import { Button } from 'react-bootstrap';
import { sayRatio, sayShare } from '@/core/words/numbers';
import { EditorPopover } from '../parts/EditorPopover';
import { NumberField } from '../parts/NumberField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { ratiosOf } from '../state/view';
import { OUTCOME_SHAPES } from '../words';
import type { Range as Ratios } from './allowed';
import { useLimit, WORDS, type ValleyProps } from './limits';

/**
 * Limits and range as words, each of which can be changed without a pointer.
 * @param narrows whether there is a field that ratios narrow
 */
export function ValleyWords({ data, measure, narrows }: ValleyProps & { narrows: boolean }) {
  const { set, onCommit } = useLimit(measure);
  return (
    <span className="valley-words">
      {data.limits[measure].map((l) => (
        <EditorPopover
          key={l.outcome}
          label={`Limit from which it is a ${l.outcome === 'fail' ? 'failure' : 'warning'}`}
          button={{
            bsPrefix: 'part',
            children: (
              <>
                <span className={`outcome-${l.outcome}`}>{OUTCOME_SHAPES[l.outcome]}</span> over{' '}
                {sayShare(l.max!)}
              </>
            ),
          }}
        >
          {() => (
            <>
              <NumberField
                label={`${WORDS[measure]} at most`}
                unit="%"
                min={0}
                max={100}
                value={l.max! * 100}
                onChange={(v) => set(l.outcome, v / 100)}
                onCommit={onCommit}
                autoFocus
              />
              <p className="quiet">{l.reason}</p>
            </>
          )}
        </EditorPopover>
      ))}
      {narrows && <RatioWords data={data} />}
    </span>
  );
}

/** The ends of a stretch of ratios, width ÷ height. */
function RatioFields({ low, high, onChange }: Ratios & { onChange: (next: Partial<Ratios>) => void }) {
  const bounds = { min: 0.1, max: 10, step: 0.01, onCommit: () => {} };
  return (
    <>
      <NumberField
        {...bounds}
        label="From width ÷ height"
        value={low}
        onChange={(next) => onChange({ low: next })}
        autoFocus
      />
      <NumberField {...bounds} label="To" value={high} onChange={(next) => onChange({ high: next })} />
    </>
  );
}

/** The ratios that the field is narrowed to. */
function RatioWords({ data }: Pick<ValleyProps, 'data'>) {
  const store = useWorkbenchStore();
  const view = useWorkbench((s) => s.view);
  const chosen = ratiosOf(view) ?? data.range;
  const show = (ratios: string | undefined) => store.setState({ view: { ...store.getState().view, ratios } });
  const narrow = (change: Partial<Ratios>) => {
    const { low, high } = { ...chosen, ...change };
    show(`${low.toFixed(3)}-${high.toFixed(3)}`);
  };
  return (
    <>
      <EditorPopover
        label="Ratios that are shown"
        button={{
          bsPrefix: 'part',
          children: view.ratios ? `ratios ${sayRatio(chosen.low)} to ${sayRatio(chosen.high)}` : 'all ratios',
        }}
      >
        {() => <RatioFields {...chosen} onChange={narrow} />}
      </EditorPopover>
      {view.ratios && (
        <Button variant="quiet" size="sm" onClick={() => show(undefined)}>
          all ratios
        </Button>
      )}
    </>
  );
}
