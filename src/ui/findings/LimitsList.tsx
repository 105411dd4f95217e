'use client';
import { stepOf } from '@/core/steps/commands';
import { useMemo } from 'react';
import { Button, Form } from 'react-bootstrap';
import { areDefault, DEFAULT_LIMITS } from '@/core/measure/defaults';
import { LIMIT_ROLES, MEASURE, measuresFor, type Limit, type MeasureName } from '@/core/measure/limit';
import { measureNoun, sayValue, typedAs } from '@/core/measure/words';
import { SIDES as PLAIN_SIDES } from '@/core/geometry/rect';
import { EditorPopover } from '../parts/EditorPopover';
import { NumberField } from '../parts/NumberField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';
import { OUTCOME_SHAPES } from '../words';

const ROLE_WORDS: Record<Limit['role'], string> = {
  background: 'Backgrounds',
  logo: 'Logos',
  text: 'Texts',
  other: 'Other layers',
  bar: 'Bars of the system',
  scene: 'The scene as a whole',
};
const BOUNDS = [
  { end: 'max', word: 'over', label: 'At most' },
  { end: 'min', word: 'under', label: 'At least' },
] as const;
type End = (typeof BOUNDS)[number]['end'];

/** What is judged where no side is named: the total of a loss, the smallest of distances. */
const WHOLE = (measure: MeasureName) => (measure.startsWith('clearance') ? 'on its nearest side' : 'in all');

/** The value of one end of a limit, and its reason. */
function BoundPart({ limit, index, end }: { limit: Limit; index: number; end: End }) {
  const store = useWorkbenchStore();
  const { unit, factor } = typedAs(limit.measure);
  const { word, label } = BOUNDS.find((b) => b.end === end)!;
  const change = (recipe: (l: Limit) => void) =>
    editLive(store, stepOf('limit.change', measureNoun(limit.measure)), ({ project }) => {
      recipe(project.limits[index]!);
    });
  const what = `${measureNoun(limit.measure)} ${word} ${sayValue(limit.measure, limit[end]!)}`;
  return (
    <EditorPopover
      label={`Limit: ${what}`}
      button={{ bsPrefix: 'part', children: `${word} ${sayValue(limit.measure, limit[end]!)}` }}
    >
      {() => (
        <>
          <NumberField
            label={label}
            unit={unit}
            value={limit[end]! * factor}
            onChange={(v) => change((l) => (l[end] = v / factor))}
            onCommit={() => commit(store)}
            autoFocus
          />
          <Form.Control
            as="textarea"
            rows={2}
            size="sm"
            aria-label="Reason"
            placeholder="why this limit"
            maxLength={400}
            value={limit.reason ?? ''}
            onChange={(e) => change((l) => (l.reason = e.target.value))}
            onBlur={() => commit(store)}
          />
        </>
      )}
    </EditorPopover>
  );
}

interface LimitProps {
  limit: Limit;
  index: number;
}

/** Changes one limit, as a step. */
function useChange({ limit, index }: LimitProps) {
  const store = useWorkbenchStore();
  return (recipe: (l: Limit) => void) =>
    edit(store, stepOf('limit.change', measureNoun(limit.measure)), ({ project }) => {
      recipe(project.limits[index]!);
    });
}

/** Which side is judged, where a measure has sides. */
function SideSelect({ limit, index, name }: LimitProps & { name: string }) {
  const change = useChange({ limit, index });
  return (
    <Form.Select
      size="sm"
      aria-label={`Side of ${name}`}
      value={limit.side === 'total' ? '' : (limit.side ?? '')}
      onChange={(e) =>
        change((l) => {
          if (e.target.value) l.side = e.target.value as Limit['side'];
          else delete l.side;
        })
      }
    >
      <option value="">{WHOLE(limit.measure)}</option>
      {PLAIN_SIDES.map((side) => (
        <option key={side} value={side}>
          {side}
        </option>
      ))}
    </Form.Select>
  );
}

/** One limit as a sentence: its outcome, its measure, its side, and from where on. */
function LimitLine({ limit, index }: LimitProps) {
  const store = useWorkbenchStore();
  const change = useChange({ limit, index });
  const name = `${measureNoun(limit.measure)} ${sayBounds(limit)}`;
  const remove = () =>
    edit(store, stepOf('limit.remove', measureNoun(limit.measure)), ({ project }) => {
      project.limits.splice(index, 1);
    });
  return (
    <li>
      <Button
        bsPrefix="part"
        aria-label={`${name}: ${limit.outcome}s, change it to ${limit.outcome === 'fail' ? 'warns' : 'fails'}`}
        onClick={() => change((l) => (l.outcome = l.outcome === 'fail' ? 'warn' : 'fail'))}
      >
        <span className={`outcome-${limit.outcome}`}>
          {OUTCOME_SHAPES[limit.outcome]} {limit.outcome}s
        </span>
      </Button>
      <span className="words"> when </span>
      <b>{measureNoun(limit.measure)}</b>
      {MEASURE[limit.measure].sided && <SideSelect {...{ limit, index, name }} />}
      <span className="words"> is </span>
      {BOUNDS.filter(({ end }) => limit[end] !== undefined).map(({ end }, i) => (
        <span key={end}>
          {i > 0 && ' or '}
          <BoundPart {...{ limit, index, end }} />
        </span>
      ))}
      <span className="quiet limit-reason">{limit.reason}</span>
      <Button variant="quiet" size="sm" aria-label={`Remove the limit: ${name}`} onClick={remove}>
        remove
      </Button>
    </li>
  );
}

const sayBounds = (limit: Limit) =>
  BOUNDS.flatMap(({ end, word }) =>
    limit[end] === undefined ? [] : [`${word} ${sayValue(limit.measure, limit[end])}`],
  ).join(' or ');

/** Measures of which less is worse start with a least value, the others with a greatest. */
const newLimit = (role: Limit['role'], measure: MeasureName): Limit => ({
  measure,
  role,
  ...(MEASURE[measure].lessIsWorse ? { min: 1 } : { max: 1 }),
  outcome: 'warn',
});

/** The limits of one role, and one more. */
function RoleLimits({ role }: { role: Limit['role'] }) {
  const store = useWorkbenchStore();
  const limits = useWorkbench((s) => s.documents.project.limits);
  const add = (measure: MeasureName) =>
    edit(store, stepOf('limit.add', measureNoun(measure)), ({ project }) => {
      project.limits.push(newLimit(role, measure));
    });
  return (
    <section aria-label={`Limits of: ${ROLE_WORDS[role]}`}>
      <h2>{ROLE_WORDS[role]}</h2>
      <ul>
        {limits.map((limit, index) =>
          limit.role === role ? <LimitLine key={index} limit={limit} index={index} /> : null,
        )}
      </ul>
      <Form.Select
        size="sm"
        aria-label={`Add a limit: ${ROLE_WORDS[role]}`}
        value=""
        onChange={(e) => add(e.target.value as MeasureName)}
      >
        <option value="">add a limit on…</option>
        {measuresFor(role).map((m) => (
          <option key={m} value={m}>
            {measureNoun(m)}
          </option>
        ))}
      </Form.Select>
    </section>
  );
}

/** From where on each measure of each role is a warning or a failure; changed in place. */
export function LimitsList() {
  const store = useWorkbenchStore();
  const limits = useWorkbench((s) => s.documents.project.limits);
  const isDefault = useMemo(() => areDefault(limits), [limits]);
  const restore = () =>
    edit(store, stepOf('limit.restore'), ({ project }) => {
      project.limits = DEFAULT_LIMITS.map((l) => ({ ...l }));
    });
  return (
    <div className="limits">
      <p>
        A case fails or warns by the worst of its limits. Each has its reason; where yours differ, change
        them.{' '}
        {isDefault ? (
          <span className="quiet">These are the limits that a project starts with.</span>
        ) : (
          <Button variant="quiet" size="sm" onClick={restore}>
            back to the limits of the start
          </Button>
        )}
      </p>
      {LIMIT_ROLES.map((role) => (
        <RoleLimits key={role} role={role} />
      ))}
    </div>
  );
}
