'use client';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { sayDensity } from '@/core/words/numbers';
import type { Target } from '@/core/project/launch';
import { KINDS } from '@/core/screens/screen';
import { matchesText } from '@/core/screens/search';
import { Ticks } from '../parts/Ticks';
import { NameField } from '../scene/editors/NameField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit } from '../state/edit';
import { kindName, kindWord } from '../words';
import { editLaunch } from './launched';
import { useLive } from './parts';

const FAMILIES = [
  { value: 'whole-number', label: 'scales of whole numbers' },
  { value: 'density-class', label: 'density classes' },
] as const;
/** Puts a value into a list or takes it out. */
function toggle<T>(list: T[], value: T): void {
  const at = list.indexOf(value);
  if (at < 0) list.push(value);
  else list.splice(at, 1);
}

/** Which screens a target takes in. */
export function TargetScreens({ target, index }: { target: Target; index: number }) {
  const store = useWorkbenchStore();
  const live = useLive();
  const change = (recipe: (t: Target) => void) => editLaunch(store, (l) => recipe(l.targets[index]!));
  return (
    <>
      <NameField
        value={target.name}
        onChange={(name) => live((l) => (l.targets[index]!.name = name))}
        onCommit={() => commit(store)}
      />
      <fieldset className="target-kinds">
        <legend>Screens that scale by</legend>
        {FAMILIES.map(({ value, label }) => (
          <Form.Check
            key={value}
            type="checkbox"
            id={`${target.id}-${value}`}
            label={label}
            checked={target.families.includes(value)}
            onChange={() => change((t) => toggle(t.families, value))}
          />
        ))}
      </fieldset>
      <p className="quiet">
        Some systems draw 2 or 3 px for each lu and nothing between; others have a class for each density,
        such as 2.625.
      </p>
      <fieldset className="target-kinds">
        <legend>and are of a kind</legend>
        {KINDS.map((kind) => (
          <Form.Check
            key={kind}
            type="checkbox"
            id={`${target.id}-${kind}`}
            label={kindWord(kind)}
            checked={target.kinds.includes(kind)}
            onChange={() => change((t) => toggle(t.kinds, kind))}
          />
        ))}
      </fieldset>
      <SingleScreens target={target} onToggle={(id) => change((t) => toggle(t.ids, id))} />
      <div className="labelled">
        <label htmlFor={`${target.id}-versions`}>Only on versions, in your words</label>
        <Form.Control
          id={`${target.id}-versions`}
          size="sm"
          maxLength={80}
          placeholder="all"
          defaultValue={target.versions ?? ''}
          onChange={(e) => {
            const versions = e.target.value.trim();
            live((l) => {
              if (versions) l.targets[index]!.versions = versions;
              else delete l.targets[index]!.versions;
            });
          }}
          onBlur={() => commit(store)}
        />
      </div>
    </>
  );
}

/** Screens that a target takes in one by one, whatever their kind: searched, as there are many. */
function SingleScreens({ target, onToggle }: { target: Target; onToggle: (id: string) => void }) {
  const screens = useWorkbench((s) => s.screens);
  const [wanted, setWanted] = useState('');
  const asks = wanted.trim() !== '';
  const found = screens.filter((s) => asks && matchesText(s, wanted));
  const listed = screens.filter((s) => target.ids.includes(s.id) || found.includes(s));
  return (
    <fieldset className="target-kinds single-screens">
      <legend>and single screens</legend>
      <Ticks
        placeholder="find: tablet, 390 × 844"
        wanted={wanted}
        onWanted={setWanted}
        listed={listed}
        describe={(s) => ({
          id: `${target.id}-${s.id}`,
          label: `${kindName(s)} ${s.width} × ${s.height}, ${sayDensity(s.density)} px per lu`,
          title: s.label,
          checked: target.ids.includes(s.id),
        })}
        onToggle={(s) => onToggle(s.id)}
      />
    </fieldset>
  );
}
