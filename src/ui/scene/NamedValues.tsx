'use client';
import { useRef } from 'react';
import { Button } from 'react-bootstrap';
import { usersOfNamed } from '@/core/scene/named';
import { readTokens, takeIn, writeTokens } from '@/core/scene/tokens';
import type { NamedValue } from '@/core/scene/values';
import { sayColour } from '@/core/sentences/colour';
import { sayLengthOf } from '@/core/sentences/words';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { download } from '../download';
import { commit, edit, editLive } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';
import { EditorPopover } from './EditorPopover';
import { ColourEditor } from './editors/ColourEditor';
import { NameField } from './editors/NameField';
import { LengthField } from './editors/LengthField';
import { Swatch } from './Swatch';

const sayValue = ({ value }: NamedValue) =>
  'light' in value
    ? sayColour(value, { layers: [], named: [] })
    : sayLengthOf(value, { layers: [], named: [] });

/** A named value’s own value is plain: it does not refer to another. */
function ValueEditor({ value: entry, onDone }: { value: NamedValue; onDone: () => void }) {
  const store = useWorkbenchStore();
  const documents = useWorkbench((s) => s.documents);
  const onCommit = () => commit(store);
  const change = (recipe: (n: NamedValue) => void) =>
    editLive(store, ({ project }) => {
      const target = project.named.find((n) => n.id === entry.id);
      if (target) recipe(target);
    });
  const remove = () => {
    const users = usersOfNamed(entry.id, documents);
    if (users.length > 0) {
      store.setState({ message: `${entry.name} is still used: ${users.join('; ')}. Change it there first.` });
      return;
    }
    edit(store, ({ project }) => {
      project.named = project.named.filter((n) => n.id !== entry.id);
    });
    onDone();
  };
  const set = (next: object) => {
    if (!('named' in next)) change((n) => (n.value = next as NamedValue['value']));
  };
  return (
    <>
      <NameField value={entry.name} onChange={(name) => change((n) => (n.name = name))} onCommit={onCommit} />
      {'light' in entry.value ? (
        <ColourEditor value={entry.value} named={[]} id="named" onChange={set} onCommit={onCommit} />
      ) : (
        <LengthField
          label="Length"
          value={entry.value}
          named={[]}
          percentOf="whatever it is used for"
          onChange={set}
          onCommit={onCommit}
        />
      )}
      <div className="menu-actions">
        <Button variant="quiet" size="sm" onClick={remove}>
          delete
        </Button>
      </div>
    </>
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
  const entry = { id: crypto.randomUUID(), name: freeName(`new ${kind}`, named), value };
  edit(store, ({ project }) => {
    project.named.push(entry);
  });
}

async function read(store: WorkbenchStore, file: File): Promise<void> {
  let json: unknown;
  try {
    json = JSON.parse(await file.text());
  } catch {
    store.setState({ message: `${file.name} is not JSON. Design tokens are a .json file.` });
    return;
  }
  const { values, leftOut } = readTokens(json);
  if (values.length > 0)
    edit(store, ({ project }) => {
      project.named = takeIn(project.named, values, () => crypto.randomUUID());
    });
  const rest = leftOut.length > 0 ? ` Left out: ${leftOut.join('; ')}.` : '';
  store.setState({ message: `${values.length} named values taken in from ${file.name}.${rest}` });
}

function write(store: WorkbenchStore): void {
  const { project } = store.getState().documents;
  const json = JSON.stringify(writeTokens(project.named), null, 2);
  const name = `${project.name.toLowerCase().replaceAll(/\W+/g, '-')}.tokens.json`;
  download(name, new Blob([json], { type: 'application/json' }));
}

/** The lengths and colours that rules refer to by name; read and written as design tokens. */
export function NamedValues() {
  const store = useWorkbenchStore();
  const named = useWorkbench((s) => s.documents.project.named);
  const appearance = useWorkbench((s) => s.view.appearance);
  const input = useRef<HTMLInputElement>(null);
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
          <li key={n.id} className="named-row">
            {'light' in n.value ? <Swatch paint={n.value} named={[]} appearance={appearance} /> : <span />}
            <EditorPopover label={`Named value ${n.name}`} button={{ bsPrefix: 'part', children: n.name }}>
              {(close) => <ValueEditor value={n} onDone={close} />}
            </EditorPopover>
            <span className="quiet figures">{sayValue(n)}</span>
          </li>
        ))}
      </ul>
      <p className="quiet tokens">
        Design tokens:{' '}
        <Button variant="quiet" size="sm" onClick={() => input.current?.click()}>
          take in a file
        </Button>
        <Button variant="quiet" size="sm" disabled={named.length === 0} onClick={() => write(store)}>
          save as a file
        </Button>
      </p>
      <input
        ref={input}
        type="file"
        hidden
        accept=".json,application/json"
        data-tokens
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          if (file) void read(store, file);
          e.target.value = '';
        }}
      />
    </section>
  );
}
