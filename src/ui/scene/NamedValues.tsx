'use client';
import { stepOf } from '@/core/steps/commands';
import { useId } from 'react';
import { Button, Form } from 'react-bootstrap';
import { usersOfNamed } from '@/core/project/named';
import { namedFor, namedOf, plainOf, type Colour, type Length, type NamedValue } from '@/core/values/values';
import { sayColour } from '@/core/sentences/colour';
import { sayLengthOf } from '@/core/sentences/words';
import { newId } from '@/workers/new-id';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { commit, edit, editLive } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';
import { EditorPopover } from '../parts/EditorPopover';
import { ColourEditor } from './editors/ColourEditor';
import { NameField } from '../parts/NameField';
import { LengthField } from './editors/LengthField';
import { Swatch } from './Swatch';
import { TokensPart } from './TokensPart';

/** “24”, “#336699, dark #101418”, “as Deep water” */
function sayValue({ value }: NamedValue, named: readonly NamedValue[]): string {
  if ('named' in value) return `as ${named.find((n) => n.id === value.named)?.name ?? 'nothing'}`;
  const names = { layers: [], named: [] };
  return 'light' in value ? sayColour(value, names) : sayLengthOf(value, names);
}

/** Takes a named value away. @returns whether it is gone: one that is used stays, and that is said */
function removeNamed(store: WorkbenchStore, { id, name }: NamedValue): boolean {
  const users = usersOfNamed(id, store.getState().documents);
  if (users.length > 0) {
    store.setState({ message: `${name} is still used: ${users.join('; ')}. Change it there first.` });
    return false;
  }
  edit(store, stepOf('value.remove', name), ({ project }) => {
    project.named = project.named.filter((n) => n.id !== id);
  });
  return true;
}

/** What a named value is, or what it stands for, and what it is meant for. */
function ValueEditor({ value: entry, onDone }: { value: NamedValue; onDone: () => void }) {
  const store = useWorkbenchStore();
  const named = useWorkbench((s) => s.documents.project.named);
  const onCommit = () => commit(store);
  const change = (recipe: (n: NamedValue) => void) =>
    editLive(store, stepOf('value.change', entry.name), ({ project }) => {
      const target = project.named.find((n) => n.id === entry.id);
      if (target) recipe(target);
    });
  const remove = () => {
    if (removeNamed(store, entry)) onDone();
  };
  const set = (value: NamedValue['value']) => change((n) => (n.value = value));
  const plain = plainOf(entry.id, named);
  const others = namedFor(entry, named);
  return (
    <>
      <NameField value={entry.name} onChange={(name) => change((n) => (n.name = name))} onCommit={onCommit} />
      {plain && 'light' in plain ? (
        <ColourEditor
          value={entry.value as Colour}
          named={others}
          id="named"
          onChange={set}
          onCommit={onCommit}
        />
      ) : (
        <LengthField
          label="Length"
          value={entry.value as Length}
          named={others}
          percentOf="whatever it is used for"
          onChange={set}
          onCommit={onCommit}
        />
      )}
      <DescriptionField entry={entry} change={change} onCommit={onCommit} />
      <div className="menu-actions">
        <Button variant="quiet" size="sm" onClick={remove}>
          delete
        </Button>
      </div>
    </>
  );
}

function DescriptionField(p: {
  entry: NamedValue;
  change: (recipe: (n: NamedValue) => void) => void;
  onCommit: () => void;
}) {
  const id = useId();
  return (
    <div className="labelled">
      <label htmlFor={id}>What it is for</label>
      <Form.Control
        id={id}
        size="sm"
        maxLength={1000}
        defaultValue={p.entry.description ?? ''}
        onChange={(e) => {
          const text = e.target.value.trim();
          p.change((n) => {
            if (text) n.description = text;
            else delete n.description;
          });
        }}
        onBlur={p.onCommit}
      />
    </div>
  );
}

function freeName(wanted: string, named: readonly NamedValue[]): string {
  let name = wanted;
  for (let i = 2; named.some((n) => n.name === name); i++) name = `${wanted} ${i}`;
  return name;
}

function add(store: WorkbenchStore, kind: 'colour' | 'length'): void {
  const { named } = store.getState().documents.project;
  const value =
    kind === 'colour' ? { light: '#0e6a78' } : ({ value: 16, unit: 'lu' } as const satisfies object);
  const entry = { id: newId(), name: freeName(`new ${kind}`, named), value };
  edit(store, stepOf('value.add', kind), ({ project }) => {
    project.named.push(entry);
  });
}

/** The lengths and colours that rules refer to by name; read and written as design tokens. */
export function NamedValues() {
  const store = useWorkbenchStore();
  const named = useWorkbench((s) => s.documents.project.named);
  const appearance = useWorkbench((s) => s.view.appearance);
  const colours = new Set(namedOf('colour', named).map((n) => n.id));
  return (
    <section className="tray" aria-label="Named values">
      <h2>
        Named values
        <span>
          <Button variant="quiet" size="sm" onClick={() => add(store, 'colour')}>
            add colour
          </Button>
          <Button variant="quiet" size="sm" onClick={() => add(store, 'length')}>
            add length
          </Button>
        </span>
      </h2>
      <ul>
        {named.map((n) => (
          <li key={n.id} className="named-row" title={n.description}>
            {colours.has(n.id) ? (
              <Swatch paint={{ named: n.id }} named={named} appearance={appearance} />
            ) : (
              <span />
            )}
            <EditorPopover label={`Named value ${n.name}`} button={{ bsPrefix: 'part', children: n.name }}>
              {(close) => <ValueEditor value={n} onDone={close} />}
            </EditorPopover>
            <span className="quiet figures">{sayValue(n, named)}</span>
          </li>
        ))}
      </ul>
      <TokensPart />
    </section>
  );
}
