'use client';
import { stepOf } from '@/core/steps/commands';
import { useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { MOST_NAMED } from '@/core/project/project';
import { mergedTokens, readTokens } from '@/core/tokens/read';
import { takeIn, writeTokens } from '@/core/tokens/write';
import { newId } from '@/workers/new-id';
import { messageOf } from '../api';
import { download } from '../parts/download';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import type { WorkbenchStore } from '../state/workbench';

/** What became of a file of tokens. */
interface Taken {
  file: string;
  count: number;
  notes: readonly string[];
  leftOut: readonly string[];
  /** whether what is not used is kept, and written again */
  isKept: boolean;
}

/** Takes a file of tokens in, as one step; `null`, with the reason said, where it is none. */
async function read(store: WorkbenchStore, file: File): Promise<Taken | null> {
  let json: unknown;
  try {
    json = JSON.parse(await file.text());
  } catch {
    store.setState({ message: `${file.name} is not JSON. Design tokens are a .json file.` });
    return null;
  }
  const found = readTokens(json);
  const { project } = store.getState().documents;
  const merged = mergedTokens(project.tokens ?? {}, found.json);
  const { named, tokens } = takeIn(project.named, found, merged, newId);
  if (named.length > MOST_NAMED) {
    const message = `${file.name} has ${found.values.length} values to be used here; a project has at most ${MOST_NAMED}.`;
    store.setState({ message });
    return null;
  }
  edit(store, stepOf('value.take-in', file.name), ({ project: p }) => {
    p.named = named;
    if (tokens && Object.keys(tokens).length > 0) p.tokens = tokens;
  });
  const { notes, leftOut, values } = found;
  return { file: file.name, count: values.length, notes, leftOut, isKept: tokens !== null };
}

function write(store: WorkbenchStore): void {
  const { project } = store.getState().documents;
  const json = JSON.stringify(writeTokens(project.named, project.tokens), null, 2);
  const name = `${project.name.toLowerCase().replaceAll(/\W+/g, '-')}.tokens.json`;
  download(name, new Blob([json], { type: 'application/json' }));
}

/** Says what was taken in, and of everything that is not used or not just as it was written, why. */
function TakenNote({ taken, onDone }: { taken: Taken; onDone: () => void }) {
  const { file, count, notes, leftOut, isKept } = taken;
  return (
    <div className="tokens-taken" role="status">
      <p>
        {count} named values imported from {file}.
        {leftOut.length > 0 &&
          ` ${leftOut.length} are not used here${isKept ? ', and are written again as they are' : '; there is too much of them to be kept'}:`}
      </p>
      {notes.length + leftOut.length > 0 && (
        <ul className="plain-list">
          {[...notes, ...leftOut].map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <Button variant="quiet" size="sm" onClick={onDone}>
        close
      </Button>
    </div>
  );
}

/** Takes named values in from a file of design tokens, and writes them as one. */
export function TokensPart() {
  const store = useWorkbenchStore();
  const named = useWorkbench((s) => s.documents.project.named);
  const input = useRef<HTMLInputElement>(null);
  const [taken, setTaken] = useState<Taken | null>(null);
  return (
    <>
      {taken && <TakenNote taken={taken} onDone={() => setTaken(null)} />}
      <p className="quiet tokens">
        Design tokens:{' '}
        <Button variant="quiet" size="sm" onClick={() => input.current?.click()}>
          import
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
          if (file)
            read(store, file).then(setTaken, (error) => store.setState({ message: messageOf(error) }));
          e.target.value = '';
        }}
      />
    </>
  );
}
