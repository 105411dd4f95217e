'use client';
import { Button } from 'react-bootstrap';
import type { Launch } from '@/core/project/launch';
import {
  LAUNCH_LIMITS,
  LAUNCH_RULES,
  LAUNCH_VALUES,
  LAUNCH_WORDS,
  launchLimit,
  withLaunchLimit,
  type LaunchLimit,
  type LaunchRule,
} from '@/core/project/launch-limits';
import { EditorPopover } from '../parts/EditorPopover';
import { NumberField } from '../parts/NumberField';
import { useWorkbenchStore } from '../state/context';
import { commit } from '../state/edit';
import { OUTCOME_SHAPES } from '../words';
import { editLaunch } from '../state/launched';
import { ListPart, useLive } from './parts';

const ENDS = ['warn', 'fail'] as const;
type End = (typeof ENDS)[number];

function setLimit(launch: Launch, rule: LaunchRule, limit: LaunchLimit): void {
  const limits = withLaunchLimit(launch, rule, limit);
  if (limits) launch.limits = limits;
  else delete launch.limits;
}

interface PartProps {
  launch: Launch;
  rule: LaunchRule;
}

/** What a rule says of one of its ends. */
function sayEnd(rule: LaunchRule, end: End, value: number | null): string {
  if (value === null) return `never ${end}s`;
  const { say, of } = LAUNCH_VALUES[rule]!;
  return `${end}s over ${[say(value), of?.[end]].filter(Boolean).join(' ')}`;
}

/** The value over which a rule warns, or fails. */
function BoundPart({ launch, rule, end }: PartProps & { end: End }) {
  const store = useWorkbenchStore();
  const live = useLive();
  const { unit, factor, step } = LAUNCH_VALUES[rule]!.typed;
  const value = launchLimit(launch, rule)[end];
  const set = (next: number | null) =>
    live((l) => setLimit(l, rule, { ...launchLimit(l, rule), [end]: next }));
  const toggle = (close: () => void) => {
    set(value === null ? (LAUNCH_LIMITS[rule][end] ?? 0) : null);
    if (value !== null) close();
  };
  const said = sayEnd(rule, end, value);
  return (
    <EditorPopover
      label={`${LAUNCH_WORDS[rule]}: ${end}s over`}
      button={{
        bsPrefix: 'part',
        'aria-label': `${LAUNCH_WORDS[rule]} ${said}`,
        children: (
          <span className={value === null ? undefined : `outcome-${end}`}>
            {value !== null && OUTCOME_SHAPES[end]} {said}
          </span>
        ),
      }}
    >
      {(close) => (
        <>
          {value !== null && (
            <NumberField
              label={`${end === 'warn' ? 'Warns' : 'Fails'} over`}
              unit={unit}
              min={0}
              max={600_000}
              step={step}
              value={value * factor}
              onChange={(v) => set(v / factor)}
              onCommit={() => commit(store)}
              autoFocus
            />
          )}
          <Button variant="quiet" size="sm" onClick={() => toggle(close)}>
            {value === null ? `${end} from some value on` : `never ${end}`}
          </Button>
        </>
      )}
    </EditorPopover>
  );
}

const JUDGED: Record<'fail' | 'warn' | 'off', { label: string; limit: LaunchLimit }> = {
  fail: { label: 'fails', limit: { warn: null, fail: 0 } },
  warn: { label: 'warns', limit: { warn: 0, fail: null } },
  off: { label: 'is not judged', limit: { warn: null, fail: null } },
};
type Judged = keyof typeof JUDGED;
const judgedAs = ({ warn, fail }: LaunchLimit): Judged =>
  fail !== null ? 'fail' : warn !== null ? 'warn' : 'off';

/** What of a rule that measures nothing: it is broken or not. */
function JudgedPart({ launch, rule }: PartProps) {
  const store = useWorkbenchStore();
  const value = judgedAs(launchLimit(launch, rule));
  const options = (Object.keys(JUDGED) as Judged[]).map((v) => ({ value: v, label: JUDGED[v].label }));
  return (
    <ListPart
      label={`${LAUNCH_WORDS[rule]}: how it is judged`}
      text={
        <span className={value === 'off' ? 'quiet' : `outcome-${value}`}>
          {value !== 'off' && OUTCOME_SHAPES[value]} {JUDGED[value].label}
        </span>
      }
      options={options}
      value={value}
      onChoose={(v) => editLaunch(store, (l) => setLimit(l, rule, JUDGED[v].limit))}
    />
  );
}

/** From where on each rule of a launch is a warning or a failure; changed in place. */
export function LaunchLimits({ launch }: { launch: Launch }) {
  const store = useWorkbenchStore();
  return (
    <section className="limits" aria-label="Limits of the launch">
      <p>
        From where on a launch warns or fails.{' '}
        {launch.limits ? (
          <Button
            variant="quiet"
            size="sm"
            onClick={() =>
              editLaunch(store, (l) => {
                delete l.limits;
              })
            }
          >
            back to the limits of the start
          </Button>
        ) : (
          <span className="quiet">These are the limits that a launch starts with.</span>
        )}
      </p>
      <ul>
        {LAUNCH_RULES.map((rule) => {
          const words = LAUNCH_VALUES[rule];
          return (
            <li key={rule}>
              <b>{LAUNCH_WORDS[rule]}</b>
              {words && <span className="words">{words.noun}</span>}
              {words ? (
                ENDS.map((end) => <BoundPart key={end} {...{ launch, rule, end }} />)
              ) : (
                <JudgedPart {...{ launch, rule }} />
              )}
              <span className="quiet limit-reason">{LAUNCH_LIMITS[rule].reason}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
