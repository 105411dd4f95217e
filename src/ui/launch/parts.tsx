'use client';
import { stepOf } from '@/core/steps/commands';
import { useState, type ReactNode } from 'react';
import { Form } from 'react-bootstrap';
import { easingOf, EASING_KEYWORDS } from '@/core/project/easing';
import { sayMs } from '@/core/words/numbers';
import { EditorPopover } from '../parts/EditorPopover';
import { ListEditor } from '../parts/ListEditor';
import { NumberField } from '../parts/NumberField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, editLive } from '../state/edit';

/** Parts of the sentences of a launch, each changed in place. */

/** A length of time. @param set changes it within the documents */
export function TimePart({ label, ms, set }: { label: string; ms: number; set: (ms: number) => void }) {
  const store = useWorkbenchStore();
  return (
    <EditorPopover
      label={label}
      button={{ bsPrefix: 'part', children: sayMs(ms), 'aria-label': `${sayMs(ms)}, ${label}` }}
    >
      {() => (
        <NumberField
          label={label}
          unit="ms"
          min={0}
          max={600_000}
          step={50}
          value={ms}
          onChange={set}
          onCommit={() => commit(store)}
          autoFocus
        />
      )}
    </EditorPopover>
  );
}

interface ListPartProps<T extends string> {
  label: string;
  text: ReactNode;
  options: readonly { value: T; label: string; note?: string }[];
  value: T;
  onChoose: (value: T) => void;
}

/** One of several. */
export function ListPart<T extends string>({ label, text, options, value, onChoose }: ListPartProps<T>) {
  return (
    <EditorPopover label={label} button={{ bsPrefix: 'part', children: text }}>
      {(close) => (
        <ListEditor
          label={label}
          options={options}
          value={value}
          onChoose={(next) => {
            onChoose(next);
            close();
          }}
        />
      )}
    </EditorPopover>
  );
}

/** One of the project’s scenes. */
export function ScenePart({
  label,
  value,
  onChoose,
}: {
  label: string;
  value: string;
  onChoose: (id: string) => void;
}) {
  const scenes = useWorkbench((s) => s.documents.scenes);
  const options = Object.values(scenes).map((s) => ({ value: s.id, label: s.name }));
  return <ListPart {...{ label, options, value, onChoose }} text={scenes[value]?.name ?? value} />;
}

/** An easing function of CSS: one of its keywords, or written out. */
export function EasingPart({ value, set }: { value: string; set: (easing: string) => void }) {
  const store = useWorkbenchStore();
  const [typed, setTyped] = useState(value);
  const valid = easingOf(typed) !== null;
  return (
    <EditorPopover label="Easing" button={{ bsPrefix: 'part', children: value }}>
      {(close) => (
        <>
          <ListEditor
            label="Easing function of CSS"
            options={EASING_KEYWORDS.map((keyword) => ({ value: keyword as string, label: keyword }))}
            value={value}
            onChoose={(next) => {
              set(next);
              close();
            }}
          />
          <Form.Control
            size="sm"
            aria-label="Easing function"
            value={typed}
            maxLength={200}
            isInvalid={!valid}
            onChange={(e) => {
              setTyped(e.target.value);
              if (easingOf(e.target.value)) set(e.target.value);
            }}
            onBlur={() => commit(store)}
          />
          {!valid && (
            <span className="problem" role="alert">
              Such as ease-out, cubic-bezier(0.2, 0, 0, 1), steps(4), linear(0, 0.6 30%, 1)
            </span>
          )}
        </>
      )}
    </EditorPopover>
  );
}

/** Changes the launch within a gesture. */
export function useLive() {
  const store = useWorkbenchStore();
  return (
    recipe: (
      launch: NonNullable<ReturnType<typeof store.getState>['documents']['project']['launches']>[number],
    ) => void,
  ) =>
    editLive(store, stepOf('launch.change', 'the launch'), ({ project }) => {
      const launch = project.launches?.[0];
      if (launch) recipe(launch);
    });
}
