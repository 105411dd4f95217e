'use client';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { sayDensity } from '@/core/words/numbers';
import type { Target } from '@/core/project/launch';
import { KINDS } from '@/core/screens/screen';
import { matchesText } from '@/core/screens/search';
import { Ticks } from '../parts/Ticks';
import { NameField } from '../parts/NameField';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit } from '../state/edit';
import { kindName, kindWord } from '../words';
import { editLaunch } from '../state/launched';
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

interface TicksOf<T extends string> {
  legend: string;
  target: Target;
  options: readonly { value: T; label: string }[];
  chosen: readonly T[];
  onToggle: (value: T) => void;
}

/** Any of a few words. */
function WordTicks<T extends string>({ legend, target, options, chosen, onToggle }: TicksOf<T>) {
  return (
    <fieldset className="target-kinds">
      <legend>{legend}</legend>
      {options.map(({ value, label }) => (
        <Form.Check
          key={value}
          type="checkbox"
          id={`${target.id}-${value}`}
          label={label}
          checked={chosen.includes(value)}
          onChange={() => onToggle(value)}
        />
      ))}
    </fieldset>
  );
}

/** On which versions of a system a target holds, in words of one’s own. */
function VersionsField({ target, onChange }: { target: Target; onChange: (text: string) => void }) {
  const store = useWorkbenchStore();
  const id = `${target.id}-versions`;
  return (
    <div className="labelled">
      <label htmlFor={id}>Only on versions, in your words</label>
      <Form.Control
        id={id}
        size="sm"
        maxLength={80}
        placeholder="all"
        defaultValue={target.versions ?? ''}
        onChange={(e) => onChange(e.target.value)}
        onBlur={() => commit(store)}
      />
    </div>
  );
}

/** Which screens a target takes in. */
export function TargetScreens({ target, index }: { target: Target; index: number }) {
  const store = useWorkbenchStore();
  const live = useLive();
  const change = (recipe: (t: Target) => void) => editLaunch(store, (l) => recipe(l.targets[index]!));
  const nameVersions = (text: string) =>
    live((l) => {
      const versions = text.trim();
      if (versions) l.targets[index]!.versions = versions;
      else delete l.targets[index]!.versions;
    });
  return (
    <>
      <NameField
        value={target.name}
        onChange={(name) => live((l) => (l.targets[index]!.name = name))}
        onCommit={() => commit(store)}
      />
      <WordTicks
        legend="Screens that scale by"
        target={target}
        options={FAMILIES}
        chosen={target.families}
        onToggle={(family) => change((t) => toggle(t.families, family))}
      />
      <p className="quiet">
        Some systems draw 2 or 3 px for each lu and nothing between; others have a class for each density,
        such as 2.625.
      </p>
      <WordTicks
        legend="and are of a kind"
        target={target}
        options={KINDS.map((value) => ({ value, label: kindWord(value) }))}
        chosen={target.kinds}
        onToggle={(kind) => change((t) => toggle(t.kinds, kind))}
      />
      <SingleScreens target={target} onToggle={(id) => change((t) => toggle(t.ids, id))} />
      <VersionsField target={target} onChange={nameVersions} />
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
